<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\PullFigure;
use VividPull\Core\Spec\Spec;

/** The pull at the lever and what of it is drag, beside what a new cable took. */
final readonly class PullState
{
    /** A pull this much above the new one's is felt (ours). */
    private const HEAVY = 0.2;

    private function __construct(
        public ?LeverPull $now,
        public ?LeverPull $fresh,
        public ?string $problem,
        public string $sentence,
    ) {}

    /** Null where nothing was measured since the last change. */
    public static function of(Spec $spec, Facts $facts): ?self
    {
        $figure = $spec->other(PullFigure::class);
        $pulls = self::forces($facts, MeasureKey::LeverPull, $figure);
        $releases = self::forces($facts, MeasureKey::LeverRelease, $figure);
        if ($pulls === [] && $releases === []) {
            return null;
        }
        $fresh = $figure?->fresh;
        if ($pulls === [] || $releases === []) {
            return new self(
                null,
                $fresh,
                null,
                $pulls === []
                    ? 'Pull it at the same place as well.'
                    : 'Read the force as it goes back, at the same place.',
            );
        }
        try {
            $now = LeverPull::of(array_sum($pulls) / count($pulls), array_sum($releases) / count($releases));
        } catch (OutOfRange $e) {
            return new self(null, $fresh, $e->getMessage(), $e->getMessage());
        }

        return new self($now, $fresh, null, self::said($now, $fresh));
    }

    /**
     * What was read since the last change, as it would be where the new cable's figure was taken.
     *
     * @return list<float>
     */
    private static function forces(Facts $facts, MeasureKey $key, ?PullFigure $figure): array
    {
        $forces = [];
        foreach ($facts->observations->measures as $seen) {
            if ($seen->entry->key === $key && $seen->setting >= $facts->readings->movedAt) {
                $forces[] = $figure === null || $seen->entry->atMm === null
                    ? $seen->entry->value
                    : LeverPull::converted($seen->entry->value, $seen->entry->atMm, $figure->atMm);
            }
        }

        return $forces;
    }

    private static function said(LeverPull $now, ?LeverPull $fresh): string
    {
        $share = (int) round(100 * $now->efficiency());
        if ($fresh === null) {
            return "{$share} % of the pull arrives at the far end. No figure of a new cable is on file to hold it against.";
        }
        $more = (int) round(100 * ($now->pull / $fresh->pull - 1));
        $new = (int) round(100 * $fresh->efficiency());
        $heavy = $now->pull > $fresh->pull * (1 + self::HEAVY);

        return match (true) {
            $fresh->isDrier($now->efficiency()) => "{$share} % of the pull arrives, of a new cable {$new} %: the drag is in the run. Oil it and measure again; damage replaces it.",
            $heavy => "It pulls {$more} % heavier than new, but {$share} % still arrives: the weight is at the working end, not in the cable.",
            default => "{$share} % of the pull arrives, of a new cable {$new} %: as it should be.",
        };
    }
}
