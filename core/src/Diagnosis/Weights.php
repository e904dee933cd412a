<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * How often each cause was at the bottom of it in this workshop; what it counted moves the chances the trade starts
 * from.
 */
final readonly class Weights
{
    /** Jobs of one's own that weigh as much as the trade's word (ours). */
    private const WORTH = 20;

    /**
     * What the chances of a family's causes come to together, about; what a cause would have that was found in every
     * job (ours).
     */
    private const ALL = 0.25;

    /**
     * @param  array<string, int>  $found  jobs here, by cause
     * @param  array<string, int>  $elsewhere  jobs that other workshops counted
     */
    private function __construct(public array $found, private array $elsewhere) {}

    public static function ofTheTrade(): self
    {
        return new self([], []);
    }

    /**
     * @param  array<string, int>  $found
     * @param  array<string, int>  $elsewhere
     */
    public static function counted(array $found, array $elsewhere = []): self
    {
        return new self($found, $elsewhere);
    }

    /** Jobs counted here. */
    public function total(): int
    {
        return array_sum($this->found);
    }

    /**
     * The chance of a cause before anything is known of this machine: the trade's word and what workshops counted,
     * weighed.
     */
    public function chance(Cause $cause): float
    {
        $jobs = ($this->found[$cause->key] ?? 0) + ($this->elsewhere[$cause->key] ?? 0);

        return (self::WORTH * $cause->commonness->chance()
            + $jobs * self::ALL) / (self::WORTH + $this->total() + array_sum($this->elsewhere));
    }
}
