<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Log\Standing;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\StudentDistribution;

/**
 * What would settle a verdict that can't be told: another instrument, so many more readings, or nothing that is here.
 *
 * What is promised is kept nine times in ten: the mean of n + m readings lies about the present one by s·√(1/n − 1/(n +
 * m)), and the chance that it then falls where it is called inside or outside is worked out before it is asked for (the
 * predictive distribution of JCGM 106:2012, 6).
 */
final readonly class DecisionAdvice
{
    private const MOST_REPEATS = 6;

    private const PROMISE = 0.9;

    /** Another instrument is named where it decides more often than not: its own readings may fall elsewhere. */
    private const EVEN = 0.5;

    private const A_FEW = 3;

    /** The spread of the readings to come is not known to the digit: a tenth is allowed for it (ours). */
    private const ALLOWANCE = 1.1;

    /** Readings taken with another instrument before it is asked again. */
    private const WITH_OTHER = 3;

    private function __construct(public Settles $settles, public string $sentence) {}

    public static function of(ReadingGroup $group, SpecBand $band, Standing $standing, DecisionRule $rule): self
    {
        $with = $group->instrument->kind->label();
        $more = self::moreReadings($group, $band, $rule);
        $other = self::otherInstrument($group, $band, $standing, $rule);

        return match (true) {
            $other !== null && $more !== null => new self(
                Settles::Readings,
                "Can't tell with this {$with}: take a {$other->kind->label()}, or read ".self::times($more).' more.',
            ),
            $other !== null => new self(
                Settles::Instrument,
                "Can't tell with this {$with}: take a {$other->kind->label()}.",
            ),
            $more !== null => new self(
                Settles::Readings,
                "Can't tell with this {$with}: read ".self::times($more).' more.',
            ),
            self::chanceWith(self::A_FEW, $group, $band, $rule) >= self::EVEN => new self(
                Settles::Readings,
                "Can't tell with this {$with} yet: more readings may decide it.",
            ),
            default => new self(Settles::Nothing, self::noMore($group, $band, $with)),
        };
    }

    private static function noMore(ReadingGroup $group, SpecBand $band, string $with): string
    {
        $chance = Conformity::chanceInside($group->found->mean, $group->found->spread(), $band);

        return $band->contains($group->found->mean)
            ? 'Inside with '.(int) floor(100 * $chance)." %: this {$with} can say no more. A finer instrument would"
                .($chance >= Verdict::LIKELY ? ', or leave it.' : '.')
            : 'Outside with '.(int) floor(100 * (1 - $chance))." %: this {$with} can say no more.";
    }

    /** How many more readings would decide it, kept nine times in ten; null when even many would not. */
    private static function moreReadings(ReadingGroup $group, SpecBand $band, DecisionRule $rule): ?int
    {
        for ($more = 1; $more <= self::MOST_REPEATS; $more++) {
            if (self::chanceWith($more, $group, $band, $rule) >= self::PROMISE) {
                return $more;
            }
        }

        return null;
    }

    private static function chanceWith(int $more, ReadingGroup $group, SpecBand $band, DecisionRule $rule): float
    {
        $found = $group->found;
        $n = $found->count + $more;

        return self::chanceToDecide(
            $found->mean,
            $found->ofOneReading() * sqrt(1 / $found->count - 1 / $n),
            $found->spreadOf($n),
            $band,
            $rule,
        );
    }

    private static function otherInstrument(
        ReadingGroup $group,
        SpecBand $band,
        Standing $standing,
        DecisionRule $rule,
    ): ?Instrument {
        $found = $group->found;
        foreach ($standing->shelf as $instrument) {
            if ($instrument->kind === $group->instrument->kind || $instrument->reach < $found->mean) {
                continue;
            }
            $expected = Uncertainty::expected(
                $found->mean,
                self::WITH_OTHER,
                $instrument,
                $standing->repeatability($group->first()->stamp->by, $instrument),
            );
            if ($expected->standard() < $found->standard()
                && self::chanceToDecide(
                    $found->mean,
                    hypot($found->standard(), $expected->standard()),
                    $expected->spread(),
                    $band,
                    $rule,
                ) >= self::EVEN) {
                return $instrument;
            }
        }

        return null;
    }

    /**
     * Chance that a mean to come, spread about the present one, is called inside or outside.
     *
     * @param  float  $about  standard deviation of the mean to come about the present one, mm
     */
    private static function chanceToDecide(
        float $mean,
        float $about,
        Spread $spread,
        SpecBand $band,
        DecisionRule $rule,
    ): float {
        $accepted = Conformity::acceptance($band, $spread, $rule);
        $guard = $rule === DecisionRule::Plain
            ? 0.0
            : Conformity::guard(Spread::of($spread->standard, $spread->freedom));
        $about *= self::ALLOWANCE;
        $below = static fn (float $edge): float => match (true) {
            is_infinite($edge) => $edge > 0.0 ? 1.0 : 0.0,
            $about <= 0.0 => (float) ($mean <= $edge),
            default => StudentDistribution::cumulative(($edge - $mean) / $about, $spread->freedom),
        };
        $inside = $accepted === null ? 0.0 : $below($accepted[1]) - $below($accepted[0]);
        $outside = $below($band->floor() - $guard) + 1.0 - $below($band->ceiling() + $guard);

        return $inside + $outside;
    }

    private static function times(int $n): string
    {
        return match ($n) {
            1 => 'once', 2 => 'twice', default => "{$n} times",
        };
    }
}
