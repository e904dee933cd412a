<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/** When play that goes on as it did reaches one edge of its band, in use from the last look. */
final readonly class LimitAhead
{
    private function __construct(
        /** mm of play. */
        public float $limit,
        /** Expected use until then; null where the play does not go that way. */
        public ?float $expected,
        /** Use by which it is reached with a chance of 5 % at most. Null where it never is. */
        public ?float $bound,
    ) {}

    /**
     * The line y₀ + b·x, and the one-sided 95 % bound y₀ + b·x ± t·√(u₀² + se²·x²) towards the limit. Squared, the bound is
     * (b² − t²se²)·x² − 2Db·x + D² − t²u₀² = 0 with D = limit − y₀; the first x ≥ 0 at which it touches (Fieller, 1954, in form).
     *
     * @param  float  $t  one-sided Student factor
     */
    public static function of(float $limit, Play $left, float $slope, float $error, float $t): self
    {
        $distance = $limit - $left->mm;
        $expected = $slope * $distance > 0.0 ? $distance / $slope : null;

        return new self($limit, $expected, self::bound($distance, $left->standard, $slope, $error, $t));
    }

    private static function bound(float $distance, float $standard, float $slope, float $error, float $t): ?float
    {
        // Seen from the side of the limit, so that it always lies above.
        $slope = $distance < 0.0 ? -$slope : $slope;
        $distance = abs($distance);
        if ($distance <= $t * $standard) {
            return 0.0;
        }
        $square = $slope ** 2 - ($t * $error) ** 2;
        $constant = $distance ** 2 - ($t * $standard) ** 2;
        if (abs($square) < 1e-18) {
            return $slope > 0.0 ? $constant / (2 * $distance * $slope) : null;
        }
        $inner = ($distance * $slope) ** 2 - $square * $constant;
        if ($inner < 0.0) {
            return null;
        }
        $roots = [($distance * $slope - sqrt($inner)) / $square, ($distance * $slope + sqrt($inner)) / $square];
        $touching = array_filter($roots, static fn (float $x): bool => $x >= 0.0 && $distance - $slope * $x >= -1e-9);

        return $touching === [] ? null : min($touching);
    }
}
