<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Bench\ReadingGroup;
use VividPull\Core\Bench\Standing;
use VividPull\Core\Spec\SpecBand;

/** What would settle a verdict that can't be told, as a sentence: another instrument, or so many more readings. */
final readonly class Deciding
{
    private const MOST_REPEATS = 6;

    public static function advice(ReadingGroup $group, SpecBand $band, Standing $standing, DecisionRule $rule): string
    {
        $with = $group->instrument->kind->label();
        $more = self::moreReadings($group, $band, $rule);
        $other = self::otherInstrument($group, $band, $standing, $rule);

        return match (true) {
            $other !== null && $more !== null => "Can't tell with this {$with}: take a {$other->kind->label()}, or read ".self::times($more).' more.',
            $other !== null => "Can't tell with this {$with}: take a {$other->kind->label()}.",
            $more !== null => "Can't tell with this {$with}: read ".self::times($more).' more.',
            default => 'Too near the edge for anything on the shelf: move it towards the middle of the band and read again.',
        };
    }

    /** How many more readings would decide it if their mean stayed where it is; null when even many would not. */
    private static function moreReadings(ReadingGroup $group, SpecBand $band, DecisionRule $rule): ?int
    {
        for ($more = 1; $more <= self::MOST_REPEATS; $more++) {
            $expected = Uncertainty::expected($group->found->mean, $group->found->count + $more, $group->instrument, $group->pooled);
            if (self::decides($expected, $band, $rule)) {
                return $more;
            }
        }

        return null;
    }

    private static function otherInstrument(ReadingGroup $group, SpecBand $band, Standing $standing, DecisionRule $rule): ?Instrument
    {
        foreach ($standing->shelf as $instrument) {
            if ($instrument->kind === $group->instrument->kind || $instrument->reach < $group->found->mean) {
                continue;
            }
            $pooled = $standing->repeatability($group->first()->stamp->by, $instrument);
            if (self::decides(Uncertainty::expected($group->found->mean, 3, $instrument, $pooled), $band, $rule)) {
                return $instrument;
            }
        }

        return null;
    }

    private static function decides(Uncertainty $expected, SpecBand $band, DecisionRule $rule): bool
    {
        $chance = Conformity::chanceInside($expected->mean, $expected->standard(), $band);

        return Conformity::decide($expected->mean, $chance, $band, $rule) !== VerdictKind::CantTell;
    }

    private static function times(int $n): string
    {
        return match ($n) {
            1 => 'once', 2 => 'twice', default => "{$n} times",
        };
    }
}
