<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

/** What the bridge prints: one line for each thing that happened, with its time. */
final class Journal
{
    /** @param  resource  $to */
    public function __construct(private readonly mixed $to) {}

    public function say(string $who, string $what): void
    {
        fwrite($this->to, date('H:i:s')." {$who}: {$what}\n");
    }
}
