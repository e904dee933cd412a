<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Family\Drift;
use VividPull\Core\Log\Standing;
use VividPull\Core\Quantity\Steps;

/**
 * Which way play will go by itself, and how much room to keep for it: this control's own drift where two intervals tell
 * it.
 */
final readonly class DriftAhead
{
    private const INTERVALS_TO_KEEP = 2;

    private const INTERVALS_TO_KNOW = 2;

    private function __construct(private Drift $way, private ?float $perInterval) {}

    /** As its family drifts, where the control's own drift is not asked for. */
    public static function usual(Drift $usual): self
    {
        return new self($usual, null);
    }

    public static function of(Standing $standing, Drift $usual): self
    {
        $own = $standing->history->drift;

        return $own === null || $own->intervals < self::INTERVALS_TO_KNOW || abs($own->conduitMm) < 1e-9
            ? new self($usual, null)
            : new self($own->conduitMm > 0.0 ? Drift::GrowsPlay : Drift::ShrinksPlay, abs($own->conduitMm));
    }

    /** Whether the adjuster will have to go outward for it; a nut that sets a speed goes in. */
    public function isOutwardFor(Adjuster $adjuster): bool
    {
        return $adjuster->kind()->sets() !== AdjustedQuantity::Speed
            && ($this->way === Drift::GrowsPlay) === ($adjuster->sense()->sign() > 0);
    }

    /** The room to keep: two intervals of drift, else what is usual for the kind. */
    public function reserveOf(Adjuster $adjuster): Steps
    {
        $each = abs($adjuster->slackGiven(Steps::of(1)));

        return $this->perInterval === null || $each === 0.0 ? $adjuster->usualReserve()
            : Steps::fromCount((int) ceil(self::INTERVALS_TO_KEEP * $this->perInterval / $each * Steps::PER_TURN));
    }
}
