<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\BestPlay;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Practice\Lesson\Turn;

/** No more moves than it takes. Whoever does not see how it stands needs some to learn it. */
final readonly class CountsMoves implements Judged
{
    /** Moves beyond the fewest that cost nothing; ours. */
    private const SPARE = 2;

    private const COSTS = 2.0;

    public static function in(Attempt $attempt): ?SkillScore
    {
        $fewest = $attempt->fewest();
        $moves = count(Turn::allOf($attempt));
        if ($moves === 0 && ($fewest ?? 0) === 0) {
            return null;
        }
        $beyond = $moves - ($fewest ?? 0) - self::SPARE;
        $remarks = match (true) {
            $beyond > 0 => [new Remark(
                $beyond * self::COSTS,
                'Read it once more before you turn again, and turn as far as the reading says.',
            )],
            $moves < (int) $fewest
                && BestPlay::moves($attempt->lesson, $attempt->control()) !== 0
                && ! $attempt->control()->hasWhatIsReplaced() => [new Remark(
                    Skill::Moves->weight(),
                    'It still stands outside.',
                )],
            default => [],
        };
        $said = self::said($moves).'. '.match ($fewest) {
            null => 'Nothing that turns reaches it.',
            0 => 'It stood right as it was.',
            default => 'One who sees inside needs '.self::said($fewest).'.',
        };

        return new SkillScore(Skill::Moves, $remarks, ucfirst($said));
    }

    private static function said(int $moves): string
    {
        return $moves === 1 ? '1 move' : "{$moves} moves";
    }
}
