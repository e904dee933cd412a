<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Family\Families;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\Moment;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Progress\StageItem;

/** Made safe before hands go near; put together again before it runs. */
final readonly class SafeFirst implements Judged
{
    public static function in(Attempt $attempt): ?SkillScore
    {
        $remarks = [];
        $hasTurned = $isTouched = false;
        foreach ($attempt->moments() as $place => $moment) {
            $open = $moment->deed instanceof Act ? self::open($moment->job) : [];
            if ($moment->deed instanceof Act && self::isHandsOn($moment->deed) && $open !== []) {
                $remarks[] = new Remark(
                    5.0,
                    "Hands were on it before it was safe: {$open[0]->label} comes first.",
                    $place,
                );
            }
            if (self::runsOpen($attempt, $moment, $hasTurned)) {
                $remarks[] = new Remark(5.0, 'It was run before what was taken off was put back.', $place);
            }
            $isTouched = $isTouched || $moment->deed instanceof Act;
            $hasTurned = $hasTurned || ($moment->deed instanceof Act && $moment->deed->kind === ActKind::Turn);
        }

        return ! $isTouched
            ? null
            : new SkillScore(
                Skill::Safe,
                $remarks,
                $remarks === []
                    ? 'It was made safe first.'
                    : 'Make it safe first, each time: nobody is hurt by a machine that cannot start.',
            );
    }

    private static function isHandsOn(Act $act): bool
    {
        return in_array($act->kind, [ActKind::Turn, ActKind::Hold, ActKind::Hook, ActKind::Cure], true);
    }

    /** @return list<StageItem> of making it safe that nobody has confirmed */
    private static function open(BenchState $job): array
    {
        return array_values(array_filter(
            $job->progress->items[JobStage::MakeSafe->value] ?? [],
            static fn (StageItem $one): bool => ! $one->done,
        ));
    }

    private static function runsOpen(Attempt $attempt, Moment $moment, bool $hasTurned): bool
    {
        if (! $moment->deed instanceof Act || ! self::runs($attempt->lesson, $moment->deed)) {
            return false;
        }
        $refit = Families::of($attempt->lesson->spec->family)->refit();
        $isOpen = array_filter(
            $refit,
            static fn (Step $step): bool => $moment->job->progress->item($step->key)?->done === false,
        ) !== [];

        return $moment->before->coversOff() !== [] || ($hasTurned && $isOpen);
    }

    /** Whether it runs the machine, so that what was taken off is put back first. */
    private static function runs(Lesson $lesson, Act $act): bool
    {
        $family = Families::of($lesson->spec->family);
        $running = match ($act->kind) {
            ActKind::Try => array_column($family->proofs($lesson->run), 'running', 'key')[$act->about] ?? null,
            ActKind::Measure => array_values(array_filter(
                $family->measures($lesson->spec),
                static fn (Measure $one): bool => $one->key->value === $act->about,
            ))[0]->running
                ?? null,
            default => null,
        };

        return $running === Running::Refitted;
    }
}
