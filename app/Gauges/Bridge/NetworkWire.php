<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use App\Gauges\Steady;
use React\EventLoop\LoopInterface;
use React\EventLoop\TimerInterface;
use React\Socket\ConnectionInterface;
use React\Socket\Connector;
use VividPull\Core\Gauge\LineFraming;
use VividPull\Core\Gauge\ScpiReply;

/**
 * An instrument on the network, asked over a plain connection as IEEE 488.2 and SCPI have it: who it is, then for a
 * reading, which it gives once its button is pressed; what it complains of is asked for after each.
 */
final class NetworkWire
{
    private const AGAIN_S = 2.0;

    private const PATIENCE_S = 5.0;

    private LineFraming $framing;

    /** What the next answer answers: `name`, `reading` or `error`. */
    private string $asked = 'name';

    private ?TimerInterface $patience = null;

    public function __construct(
        private readonly LoopInterface $loop,
        private readonly Presses $presses,
        private readonly Journal $journal,
    ) {
        $this->framing = new LineFraming;
    }

    public function open(): void
    {
        (new Connector(['timeout' => self::PATIENCE_S], $this->loop))
            ->connect('tcp://'.$this->presses->gauge->wire())
            ->then(
                $this->opened(...),
                fn () => $this->away('It does not answer. Is it switched on, and is the address right?'),
            );
    }

    private function opened(ConnectionInterface $to): void
    {
        $this->framing = new LineFraming;
        $to->on('data', function (string $bytes) use ($to): void {
            foreach ($this->framing->take($bytes, Steady::ms()) as $line) {
                $this->answered($to, $line);
            }
        });
        $to->on('close', function (): void {
            $this->stopWaiting();
            $this->away('It has gone. It is looked for until it is back.');
        });
        $to->write("*CLS\n");
        $this->ask($to, 'name', '*IDN?');
    }

    private function answered(ConnectionInterface $to, string $line): void
    {
        $this->stopWaiting();
        $asked = $this->asked;
        if ($asked === 'name') {
            $this->journal->stands(
                $this->presses->gauge->instrument,
                'Listening to '.(ScpiReply::name($line) ?? 'an instrument that does not say its name').'.',
            );
        } elseif ($asked === 'error') {
            $error = ScpiReply::error($line);
            if ($error !== null) {
                $this->journal->say($this->presses->gauge->instrument, $error);
            }
        } else {
            $this->presses->came($line);
        }
        $asked === 'reading'
            ? $this->ask($to, 'error', 'SYST:ERR?')
            : $this->ask($to, 'reading', $this->presses->gauge->ask);
    }

    /** A reading may take for ever: it comes when somebody presses. All else is answered at once, or not at all. */
    private function ask(ConnectionInterface $to, string $what, string $command): void
    {
        $this->asked = $what;
        $to->write("{$command}\n");
        if ($what !== 'reading') {
            $this->patience = $this->loop->addTimer(self::PATIENCE_S, function () use ($to, $command): void {
                $this->journal->say($this->presses->gauge->instrument, "It does not answer {$command}.");
                $to->close();
            });
        }
    }

    private function stopWaiting(): void
    {
        if ($this->patience !== null) {
            $this->loop->cancelTimer($this->patience);
        }
        $this->patience = null;
    }

    private function away(string $why): void
    {
        $this->journal->stands($this->presses->gauge->instrument, $why);
        $this->loop->addTimer(self::AGAIN_S, $this->open(...));
    }
}
