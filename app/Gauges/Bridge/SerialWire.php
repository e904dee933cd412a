<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use App\Gauges\Steady;
use React\EventLoop\LoopInterface;
use React\Stream\ReadableResourceStream;
use Symfony\Component\Process\Process;
use VividPull\Core\Gauge\LineFraming;

/**
 * A serial line with one gauge on it, or several that their lines tell apart. Unplugged, it waits until it is there
 * again.
 */
final class SerialWire
{
    private const AGAIN_S = 1.0;

    private LineFraming $framing;

    /** @param  list<Presses>  $gauges */
    public function __construct(
        private readonly LoopInterface $loop,
        private readonly string $port,
        private readonly SerialSettings $settings,
        private readonly array $gauges,
        private readonly Journal $journal,
    ) {
        $this->framing = new LineFraming;
    }

    public function open(): void
    {
        $why = $this->setUp();
        // Not waiting for a modem to answer.
        $line = $why === null ? @fopen($this->port, 'r+n') : false;
        if ($line === false) {
            $this->journal->stands(
                $this->port,
                $why
                    ?? 'It cannot be opened'.self::reason()
                        .'. May this account use serial lines? It must be in the group dialout.',
            );
            $this->loop->addTimer(self::AGAIN_S, $this->open(...));

            return;
        }
        // What came before anybody listened is nobody's.
        stream_set_blocking($line, false);
        while ((string) fread($line, 4096) !== '');
        $this->framing = new LineFraming;
        $this->journal->stands($this->port, 'Listening.');
        $stream = new ReadableResourceStream($line, $this->loop);
        $stream->on('data', fn (string $bytes) => $this->take($bytes));
        $stream->on('error', static fn () => $stream->close());
        $stream->on('close', function (): void {
            $this->journal->stands($this->port, 'Unplugged. It is looked for until it is back.');
            $this->loop->addTimer(self::AGAIN_S, $this->open(...));
        });
    }

    private function take(string $bytes): void
    {
        $lost = $this->framing->lost();
        $lines = $this->framing->take($bytes, Steady::ms());
        if ($this->framing->lost() > $lost) {
            $this->journal->say($this->port, 'Half a line came, and was let go.');
        }
        foreach ($lines as $line) {
            $this->whose($line)->came($line);
        }
    }

    /** Where several share the wire, the one whose lines begin so; the first says that it is nobody's. */
    private function whose(string $line): Presses
    {
        foreach ($this->gauges as $gauge) {
            if ($gauge->isIts($line)) {
                return $gauge;
            }
        }

        return $this->gauges[0];
    }

    /** Null where it is set up, else why not. */
    private function setUp(): ?string
    {
        // A name such as those under /dev/serial may lead to another device than before, and PHP remembers where it
        // led.
        clearstatcache(true, $this->port);
        if (! file_exists($this->port)) {
            return 'It is not there. Is it plugged in?';
        }
        $stty = new Process(['stty', '-F', $this->port, ...$this->settings->forStty()], null, null, null, 5);

        return $stty->run() === 0 ? null : 'It cannot be set up: '.trim(explode("\n", $stty->getErrorOutput())[0]);
    }

    /** What the machine said of the last thing that failed. */
    private static function reason(): string
    {
        $said = explode(': ', error_get_last()['message'] ?? '');

        return count($said) > 1 ? ' ('.lcfirst($said[count($said) - 1]).')' : '';
    }
}
