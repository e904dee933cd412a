<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Figure;

/** The free play a spec allows, in mm, both edges included. One edge may be missing. */
final readonly class SpecBand
{
    private function __construct(public ?float $low, public ?float $high) {}

    /** @throws OutOfRange If both edges are missing, one is negative, or low is not below high. */
    public static function between(?float $low, ?float $high): self
    {
        if ($low === null && $high === null) {
            throw OutOfRange::emptyBand();
        }
        foreach ([$low, $high] as $edge) {
            if ($edge !== null && $edge < 0.0) {
                throw OutOfRange::negativeEdge($edge);
            }
        }
        if ($low !== null && $high !== null && $low >= $high) {
            throw OutOfRange::band($low, $high);
        }

        return new self($low, $high);
    }

    /** The lowest play that passes: with no low edge, any play at all does. */
    public function floor(): float
    {
        return $this->low ?? 0.0;
    }

    public function ceiling(): float
    {
        return $this->high ?? INF;
    }

    /** In mm, from the lowest play that passes; without end where no high edge is. */
    public function width(): float
    {
        return $this->ceiling() - $this->floor();
    }

    public function contains(float $mm): bool
    {
        return $mm >= $this->floor() && $mm <= $this->ceiling();
    }

    /** How far outside a value lies, in mm: below zero under the band, above zero over it, zero inside. */
    public function beyond(float $mm): float
    {
        return match (true) {
            $mm < $this->floor() => $mm - $this->floor(),
            $mm > $this->ceiling() => $mm - $this->ceiling(),
            default => 0.0,
        };
    }

    /** As it is said: `10 to 20 mm`, `at least 2 mm`, `at most 1.6 mm`. */
    public function say(): string
    {
        $low = $this->low === null ? null : Figure::shortLength($this->low)->bare();
        $high = $this->high === null ? null : Figure::shortLength($this->high)->bare();
        $unit = Figure::lengthUnit();

        return match (true) {
            $low === null => "at most {$high} {$unit}",
            $high === null => "at least {$low} {$unit}",
            default => "{$low} to {$high} {$unit}",
        };
    }
}
