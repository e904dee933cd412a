<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Entry\HandMeasured;
use VividPull\Core\Quantity\Figure;

/** Which distances of a hand control can have been measured on it. */
final readonly class MeasuredHand
{
    /** What no lever or grip differs by from its drawing: then one of the two was typed in another unit (ours). */
    private const TIMES = 4.0;

    /** Least and most that any moves, where nothing is drawn of it (ours). */
    private const ANY = [0.2, 20.0];

    /**
     * The reading points whose distances are asked for, the one of the spec's figure first; none where play is not
     * read at the hand control.
     *
     * @return list<ReadingPoint>
     */
    public static function points(BenchState $state): array
    {
        return $state->spec->aim === null ? [] : $state->run->hand->measurable($state->spec->play()->point);
    }

    /**
     * @throws Refused If this control has no such distances, one is left out, or they cannot be those of one control.
     */
    public static function check(BenchState $state, HandMeasured $measured): void
    {
        $asked = array_map(static fn (ReadingPoint $one): string => $one->value, self::points($state));
        if ($asked === []) {
            throw Refused::because(self::tellsNothing($state));
        }
        if (array_diff($asked, array_keys($measured->pointMm)) !== []
            || array_diff(array_keys($measured->pointMm), $asked) !== []) {
            $hand = $state->run->hand;
            throw Refused::because(
                'Measure these together: '.lcfirst($hand->toWire()).', '
                    .implode(', ', array_map(
                        static fn (string $one): string => lcfirst($hand->toPoint(ReadingPoint::from($one))),
                        $asked,
                    )).'.',
            );
        }
        foreach ($measured->pointMm as $point => $mm) {
            self::possible($state, ReadingPoint::from($point), $mm / $measured->wireMm);
        }
    }

    public static function tellsNothing(BenchState $state): string
    {
        return 'Play is not read at the '.lcfirst($state->run->hand->name)
            .' here, so its distances tell nothing of it.';
    }

    private static function possible(BenchState $state, ReadingPoint $point, float $ratio): void
    {
        $drawn = $state->run->asOpened()->couplings->at($point)?->value;
        [$least, $most] = $drawn === null ? self::ANY : [$drawn / self::TIMES, $drawn * self::TIMES];
        if ($ratio < $least || $ratio > $most) {
            throw Refused::because(
                'By that the '.$point->named(lcfirst($state->run->hand->name)).' would move '.Figure::ratio($ratio)
                    .' mm for 1 mm of wire'
                    .($drawn === null ? '' : ', and '.Figure::ratio($drawn).' is known of it')
                    .'. Measure both again, and type both in one unit.',
            );
        }
    }
}
