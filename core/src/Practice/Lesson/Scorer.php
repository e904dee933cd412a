<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use DateTimeImmutable;
use VividPull\Core\Practice\Lesson\Judged\CountsMoves;
use VividPull\Core\Practice\Lesson\Judged\EndsRight;
use VividPull\Core\Practice\Lesson\Judged\FindsTheCause;
use VividPull\Core\Practice\Lesson\Judged\GoesTheRightWay;
use VividPull\Core\Practice\Lesson\Judged\LeavesInOrder;
use VividPull\Core\Practice\Lesson\Judged\LocksAndReads;
use VividPull\Core\Practice\Lesson\Judged\ReadsTrue;
use VividPull\Core\Practice\Lesson\Judged\SafeFirst;
use VividPull\Core\Practice\Lesson\Judged\SaysWhatIsSo;
use VividPull\Core\Practice\Lesson\Judged\TriesEverything;

/** Judges an attempt by how the machine truly is, skill by skill. */
final readonly class Scorer
{
    public static function judge(Attempt $attempt): Score
    {
        $skills = array_values(array_filter([
            SafeFirst::in($attempt), ReadsTrue::in($attempt), SaysWhatIsSo::in($attempt), GoesTheRightWay::in($attempt),
            CountsMoves::in($attempt),
            LeavesInOrder::in($attempt), LocksAndReads::in($attempt), TriesEverything::in($attempt),
            FindsTheCause::in($attempt), EndsRight::in($attempt),
        ]));
        $points = array_sum(array_map(static fn (SkillScore $one): float => $one->points(), $skills));
        $weights = array_sum(array_map(static fn (SkillScore $one): int => $one->skill->weight(), $skills));

        return new Score(
            min(self::most($attempt), (int) round(100 * $points / $weights)),
            $skills,
            count(Turn::allOf($attempt)),
            $attempt->fewest(),
            self::minutes($attempt),
            ReadsTrue::readsHigh($attempt),
        );
    }

    private static function most(Attempt $attempt): int
    {
        return match (true) {
            EndsRight::isFalselyFit($attempt) => Score::FALSELY_FIT,
            SaysWhatIsSo::isGuesswork($attempt) => Score::GUESSED,
            ! $attempt->isEnded() => Score::UNFINISHED,
            default => 100,
        };
    }

    /** From the first thing done to the last; a pause of more than a quarter of an hour is not counted. */
    private static function minutes(Attempt $attempt): float
    {
        [$seconds, $before] = [0, null];
        foreach ($attempt->moments() as $moment) {
            $at = (new DateTimeImmutable($moment->at))->getTimestamp();
            $gap = $before === null ? 0 : $at - $before;
            $seconds += $gap > 0 && $gap <= 900 ? $gap : 0;
            $before = $at;
        }

        return $seconds / 60;
    }
}
