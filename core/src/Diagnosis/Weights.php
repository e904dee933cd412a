<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** How often each cause was at the bottom of it in this workshop; what it counted moves the chances the trade starts from. */
final readonly class Weights
{
    /** Jobs of one's own that weigh as much as the trade's word (ours). */
    private const WORTH = 20;

    /** What the chances of a family's causes come to together, about; what a cause would have that was found in every job (ours). */
    private const ALL = 0.25;

    /** @param  array<string, int>  $found  jobs, by cause */
    private function __construct(public array $found) {}

    public static function ofTheTrade(): self
    {
        return new self([]);
    }

    /** @param  array<string, int>  $found */
    public static function counted(array $found): self
    {
        return new self($found);
    }

    public function total(): int
    {
        return array_sum($this->found);
    }

    /** The chance of a cause before anything is known of this machine: the trade's word and the workshop's own count, weighed. */
    public function chance(Cause $cause): float
    {
        return (self::WORTH * $cause->commonness->chance() + ($this->found[$cause->key] ?? 0) * self::ALL) / (self::WORTH + $this->total());
    }
}
