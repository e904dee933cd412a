<?php

declare(strict_types=1);

namespace App\Exchange;

/** One line of a file that cannot be taken, and why. */
final readonly class Rejected
{
    public function __construct(public string $place, public string $why) {}

    /** @return array{place: string, why: string} */
    public function wire(): array
    {
        return ['place' => $this->place, 'why' => mb_substr($this->why, 0, 400)];
    }
}
