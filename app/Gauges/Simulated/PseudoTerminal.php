<?php

declare(strict_types=1);

namespace App\Gauges\Simulated;

use RuntimeException;

/**
 * A serial line that is none: a pseudo terminal under a name of its own, with somebody who only holds it open at the
 * other end.
 */
final class PseudoTerminal implements Speaks
{
    /** @var resource|null */
    private mixed $holder = null;

    /** @var resource|null */
    private mixed $line = null;

    public function __construct(private readonly string $link) {}

    public function plug(): void
    {
        if ($this->line !== null) {
            return;
        }
        $holder = proc_open(
            ['sh', '-c', 'stty raw -echo; tty; exec sleep infinity'],
            [['pty'], ['pty'], ['pty']],
            $ends,
        );
        if ($holder === false) {
            throw new RuntimeException('No pseudo terminal can be had here.');
        }
        $this->holder = $holder;
        $this->line = $ends[0];
        $path = trim((string) fgets($ends[1]));
        stream_set_blocking($ends[0], false);
        @unlink($this->link);
        symlink($path, $this->link);
    }

    public function unplug(): void
    {
        if ($this->line === null || $this->holder === null) {
            return;
        }
        @unlink($this->link);
        proc_terminate($this->holder, SIGKILL);
        fclose($this->line);
        proc_close($this->holder);
        $this->line = $this->holder = null;
    }

    public function send(string $bytes): void
    {
        if ($this->line !== null && $bytes !== '') {
            @fwrite($this->line, $bytes);
        }
    }
}
