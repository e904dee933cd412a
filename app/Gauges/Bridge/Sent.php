<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

/** Something a gauge gave, on its way to the server under an id of its own: sent twice, it counts once. */
interface Sent
{
    /** Where it is sent to, below the server's API. */
    public function path(): string;

    /** The short name of its gauge. */
    public function instrument(): string;

    /** What it is, for whoever reads along. */
    public function says(): string;

    /** How long ago it was measured. */
    public function ageMs(): int;

    /** @return array<string, mixed> as it is sent */
    public function body(): array;

    /** @return array<string, mixed> as it waits on the disk */
    public function kept(): array;
}
