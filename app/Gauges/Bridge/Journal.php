<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

/** What the bridge prints: one line for each thing that happened, with its time. */
final class Journal
{
    /** @var array<string, string> how each was last said to stand */
    private array $stands = [];

    /** @param  resource  $to */
    public function __construct(private readonly mixed $to) {}

    /** How it stands, tried again and again: said where it is otherwise than before. */
    public function stands(string $who, string $what): void
    {
        if (($this->stands[$who] ?? '') !== $what) {
            $this->stands[$who] = $what;
            $this->say($who, $what);
        }
    }

    public function say(string $who, string $what): void
    {
        fwrite($this->to, date('H:i:s')." {$who}: {$what}\n");
    }
}
