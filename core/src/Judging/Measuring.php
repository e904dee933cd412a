<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\SeenMeasure;
use VividPull\Core\Family\Families;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Repeated;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Spec\SpeedCeiling;

/** What is measured beside the play, held against the spec's limits. */
final readonly class Measuring
{
    private const MOST_MORE = 12;

    private function __construct(private Spec $spec, private Facts $facts) {}

    /** @return list<MeasureState> */
    public static function of(Spec $spec, Facts $facts): array
    {
        $measuring = new self($spec, $facts);
        $asked = array_filter(
            Families::of($spec->family)->measures($spec),
            static fn (Measure $one): bool => $one->key === MeasureKey::Tyre
                ? $spec->other(SpeedCeiling::class) !== null
                : $spec->limitOf($one->key) !== null,
        );

        return array_values(array_map($measuring->state(...), $asked));
    }

    /** @return list<float> the values of one key since the last change */
    public static function current(Facts $facts, MeasureKey $key): array
    {
        $values = [];
        foreach ($facts->observations->measures as $seen) {
            if ($seen->entry->key === $key && $seen->counts) {
                $values[] = $seen->entry->value;
            }
        }

        return $values;
    }

    private function state(Measure $measure): MeasureState
    {
        $values = $measure->key === MeasureKey::Tyre
            ? $this->all($measure->key)
            : self::current($this->facts, $measure->key);
        $found = $values === [] ? null : Repeated::of($measure->key, $values);
        $before = $this->before($measure->key);
        $limit = $this->spec->limitOf($measure->key);
        $factor = $this->factor($measure->key);

        return new MeasureState(
            $measure,
            $values,
            $found,
            $limit,
            $this->verdict($measure, $found, $limit, $factor),
            $this->note($measure->key, $found),
            $before === [] ? null : Repeated::of($measure->key, $before),
            $factor,
        );
    }

    private function verdict(Measure $measure, ?Repeated $found, ?SpecBand $limit, float $factor): Verdict
    {
        if ($found === null) {
            return Verdict::unread('Not measured yet');
        }

        return $limit === null
            ? Verdict::noted('Noted')
            : Verdict::ofLimit(
                $found->mean * $factor,
                $found->spread($factor),
                $limit,
                $this->spec->rule,
                $measure->key,
                fn (): string => self::moreOf($found, $limit, $factor),
            );
    }

    /**
     * Of a governed speed the harder of two readings counts: the ground speed itself, and what the same governor would
     * give on the book's own tyres. Smaller tyres do not excuse a governor set past its limit.
     */
    private function factor(MeasureKey $key): float
    {
        $ceiling = $this->spec->other(SpeedCeiling::class);
        $tyre = $this->all(MeasureKey::Tyre);

        return $key !== MeasureKey::GroundSpeed || $ceiling === null || $tyre === []
            ? 1.0
            : max(1.0, $ceiling->tyreMm * count($tyre) / array_sum($tyre));
    }

    private function note(MeasureKey $key, ?Repeated $found): ?string
    {
        $ceiling = $this->spec->other(SpeedCeiling::class);
        $tyre = $this->all(MeasureKey::Tyre);
        if ($key !== MeasureKey::GroundSpeed || $ceiling === null || $tyre === [] || $found === null) {
            return null;
        }
        $fitted = array_sum($tyre) / count($tyre);
        $onBook = Figure::speed($found->mean * $ceiling->tyreMm / $fitted);

        return abs($fitted / $ceiling->tyreMm - 1) < 0.01 ? null
            : 'On '.Figure::length($fitted, 0)." tyres; on the book's ".Figure::shortLength($ceiling->tyreMm)
                ." the same governor gives {$onBook}. The higher of the two is judged.";
    }

    /** How many more would decide it, where any number would. */
    private static function moreOf(Repeated $found, SpecBand $limit, float $factor): string
    {
        for ($more = 1; $more <= self::MOST_MORE; $more++) {
            $chance = Conformity::chanceInside($found->mean * $factor, $found->spread($factor, $more), $limit);
            if ($chance >= 0.95 || $chance <= 0.05) {
                return $more === 1 ? 'Measure it once more.' : "Measure it {$more} more times.";
            }
        }

        return 'It stands on the limit: more runs will not decide it. Put it right until it is clearly inside.';
    }

    /** @return list<float> */
    private function all(MeasureKey $key): array
    {
        return array_values(array_map(static fn (SeenMeasure $one): float => $one->entry->value,
            array_filter(
                $this->facts->observations->measures,
                static fn (SeenMeasure $one): bool => $one->entry->key === $key,
            )));
    }

    /** @return list<float> */
    private function before(MeasureKey $key): array
    {
        return array_values(array_map(static fn (SeenMeasure $one): float => $one->entry->value,
            array_filter(
                $this->facts->observations->measures,
                static fn (SeenMeasure $one): bool => $one->entry->key === $key && $one->setting === 0,
            )));
    }
}
