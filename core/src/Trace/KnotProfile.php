<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * Where one knot of a broken line may be: for each place near the best one, what is left over with all the others
 * fitted anew, and from it the chance of that place. The linear model about the best place is too sure of a knot whose
 * next piece is short (Seber and Wild, *Nonlinear Regression*, 3.3 and 9.3.3 [memory]).
 */
final readonly class KnotProfile
{
    /** Places looked at on each side, */
    private const PLACES = 12;

    /** ... as far as this many of the linear model's deviations. */
    private const WIDE = 6.0;

    private const STEPS = 3;

    private const LEAST_SHARE = 0.05;

    private function __construct(
        /** In mm of travel, */ public float $mean,
        /** ... and how surely. */ public float $deviation,
    ) {}

    /**
     * @param  non-empty-list<float>  $knots  counted from the cells' zero
     * @param  int  $which  an inner knot, from 1
     * @param  float  $linear  its standard uncertainty by the linear model, in mm
     * @param  float  $variance  of one point of weight 1, in N²
     */
    public static function of(Cells $cells, array $knots, int $which, float $linear, float $variance): self
    {
        $places = [[$knots[$which], KnotSystem::at($cells, $knots)->left]];
        foreach ([-1.0, 1.0] as $way) {
            $near = $knots;
            for ($place = 1; $place <= self::PLACES; $place++) {
                $at = $knots[$which] + $way * $linear * self::WIDE * $place / self::PLACES;
                $held = self::held($cells, $near, $which, $at);
                if ($held === null) {
                    break;
                }
                [$near, $left] = $held;
                $places[] = [$at, $left];
            }
        }

        return self::weighed($places, $variance, $cells->zero);
    }

    /** @param  non-empty-list<array{float, float}>  $places */
    private static function weighed(array $places, float $variance, float $zero): self
    {
        $least = min(array_column($places, 1));
        [$weights, $sum, $squares] = [0.0, 0.0, 0.0];
        foreach ($places as [$at, $left]) {
            $weight = exp(($least - $left) / (2.0 * $variance));
            $weights += $weight;
            $sum += $weight * $at;
            $squares += $weight * $at * $at;
        }
        $mean = $sum / $weights;

        return new self($mean + $zero, sqrt(max(0.0, $squares / $weights - $mean * $mean)));
    }

    /**
     * The other knots where they fit best with one held at a place, and what is left over; null where there is no room
     * for them.
     *
     * @param  non-empty-list<float>  $knots
     * @return array{non-empty-list<float>, float}|null
     */
    private static function held(Cells $cells, array $knots, int $which, float $at): ?array
    {
        $knots = [...array_slice($knots, 0, $which), $at, ...array_slice($knots, $which + 1)];
        if (! BrokenLine::stands($cells, $knots)) {
            return null;
        }
        $system = KnotSystem::at($cells, $knots);
        for ($step = 0; $step < self::STEPS; $step++) {
            $better = BrokenLine::better($cells, $knots, $system, $which - 1, self::LEAST_SHARE);
            if ($better === null) {
                break;
            }
            [$knots, $system] = $better;
        }

        return [$knots, $system->left];
    }
}
