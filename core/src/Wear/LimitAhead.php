<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\WelchSatterthwaite;

/** When play that goes on as it did reaches one edge of its band, in use from the last look. */
final readonly class LimitAhead
{
    private const STEPS = 80;

    private const HALVINGS = 40;

    private const AS_GOOD_AS_ALL = 1e9;

    private function __construct(
        /** mm of play. */
        public float $limit,
        /** Expected use until then; null where the play does not go that way. */
        public ?float $expected,
        /** Use by which it is reached with a chance of 5 % at most. Null where it never is. */
        public ?float $bound,
    ) {}

    /**
     * The line y₀ + b·x, and the one-sided 95 % bound y₀ + b·x ± t·√(u₀² + se²·x²) towards the limit: the first x ≥ 0
     * at which it touches. The degrees of freedom of t are those of both parts together at that x, by Welch and
     * Satterthwaite and truncated (JCGM 100:2008, G.4): at first those of the reading, far out those of the slope.
     *
     * @param  float  $freedom  degrees of freedom of the slope, at least 1
     * @param  float  $farthest  use beyond which nothing is said
     */
    public static function of(
        float $limit,
        Play $left,
        float $slope,
        float $error,
        float $freedom,
        float $farthest,
    ): self {
        $distance = $limit - $left->mm;
        $expected = $slope * $distance > 0.0 ? $distance / $slope : null;
        // Seen from the side of the limit, so that it always lies above.
        $factors = [];
        $room = static function (float $x) use ($distance, $left, $slope, $error, $freedom, &$factors): float {
            $effective = WelchSatterthwaite::freedom([
                ['u' => $left->standard, 'freedom' => $left->freedom],
                ['u' => $error * $x, 'freedom' => $freedom],
            ]);
            $whole = max(1, (int) min(floor($effective), self::AS_GOOD_AS_ALL));
            $factors[$whole] ??= StudentDistribution::coverageFactor(0.90, $whole);

            return abs($distance)
                - ($distance < 0.0 ? -$slope : $slope) * $x
                - $factors[$whole] * hypot($left->standard, $error * $x);
        };

        return new self($limit, $expected, self::firstTouch($room, $farthest));
    }

    /** @param  callable(float): float  $room  above zero while the bound is short of the limit */
    private static function firstTouch(callable $room, float $farthest): ?float
    {
        if ($room(0.0) <= 0.0) {
            return 0.0;
        }
        [$clear, $over] = [0.0, null];
        for ($step = 1; $step <= self::STEPS; $step++) {
            $at = $farthest * ($step / self::STEPS) ** 2;
            if ($room($at) <= 0.0) {
                $over = $at;
                break;
            }
            $clear = $at;
        }
        if ($over === null) {
            return null;
        }
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($clear + $over) / 2;
            $room($middle) > 0.0 ? $clear = $middle : $over = $middle;
        }

        return $over;
    }
}
