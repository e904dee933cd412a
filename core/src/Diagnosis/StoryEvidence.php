<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use VividPull\Core\Wear\IntervalKind;
use VividPull\Core\Wear\WearStory;

/**
 * What a control's wear story says of causes: what is worn goes one way from job to job, what slipped or bent jumps.
 */
final readonly class StoryEvidence
{
    /** Intervals from which *no steady wear* is said. */
    private const TELLING = 2;

    private function __construct() {}

    /** @param  Check|null  $check  the family's look at its story; null where it has none */
    public static function into(Evidence $evidence, ?Check $check, ?WearStory $story): Evidence
    {
        $word = $check === null || $story === null ? null : self::word($story);

        return $word !== null && ($word === Check::RIGHT || isset($check->finds[$word]))
            ? $evidence->answered('story', $word)
            : $evidence;
    }

    private static function word(WearStory $story): ?string
    {
        $last = $story->intervals === [] ? null : $story->intervals[count($story->intervals) - 1];

        return match (true) {
            $last?->kind === IntervalKind::Jump => 'jumped',
            // A cause is only named where the rate is two standard errors from none.
            $story->cause !== null && $story->slope !== null => $story->slope < 0.0 ? 'shrinks' : 'grows',
            $story->carried() >= self::TELLING => Check::RIGHT,
            default => null,
        };
    }
}
