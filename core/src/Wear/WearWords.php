<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\MeterUnit;

/** A wear story as it is told: what moves, how fast, what does not fit, and what that means. */
final readonly class WearWords
{
    private const COUNTS = [
        1 => 'one interval',
        2 => 'two intervals',
        3 => 'three intervals',
        4 => 'four intervals',
        5 => 'five intervals',
        6 => 'six intervals',
    ];

    public static function heading(WearStory $story): string
    {
        return match (true) {
            $story->cause !== null => $story->cause->label(),
            $story->slope === null => 'No interval yet',
            $story->error === null => 'One interval',
            default => 'No steady wear',
        };
    }

    public static function say(WearStory $story, MeterUnit $unit): string
    {
        return implode(' ', array_filter([
            self::rate($story, $unit),
            $story->cause?->alsoLook(),
            self::jumped($story),
            $story->replace() === null ? null : "Found outside look after look. {$story->replace()}",
        ], is_string(...)));
    }

    private static function rate(WearStory $story, MeterUnit $unit): string
    {
        if ($story->slope === null) {
            return 'What is left now and found at the next look makes the first.';
        }
        $over = self::COUNTS[$story->carried()] ?? "{$story->carried()} intervals";
        $way = $story->slope < 0.0 ? 'shrank' : 'grew';
        $per = self::mm(abs($story->slope) * $unit->per()).' '.Figure::lengthUnit().' per '.$unit->say($unit->per());

        return match (true) {
            $story->error === null => "Play {$way} {$per} over it. One is no rule: a cause is named from two.",
            $story->cause === null => "Over {$over} play moved ".self::signed($story->slope * $unit->per()).' ± '
                .self::mm(2 * $story->error * $unit->per()).' '.Figure::lengthUnit().' per '.$unit->say($unit->per())
                .': too little to tell from the readings.',
            default => 'play '.($story->slope < 0.0 ? 'shrinks' : 'grows')." {$per}, steadily over {$over}.",
        };
    }

    private static function jumped(WearStory $story): ?string
    {
        $jump = $story->jump();
        if ($jump === null || $jump->drift === null) {
            return null;
        }
        $which = $jump === $story->intervals[count($story->intervals) - 1]
            ? 'The last interval'
            : 'The interval up to '.$jump->to->day;

        return "{$which} does not fit: play ".($jump->drift > 0.0 ? 'grew' : 'shrank').' by '
            .self::mm(abs($jump->drift)).' '.Figure::lengthUnit()
            .'. Wear is slow; a lock nut that slipped, a cable out of its seat or somebody\'s hand is not.';
    }

    private static function mm(float $mm): string
    {
        return Figure::length($mm, abs($mm) < 0.095 ? 2 : 1)->bare();
    }

    private static function signed(float $mm): string
    {
        return ($mm < 0.0 ? '−' : '+').self::mm(abs($mm));
    }
}
