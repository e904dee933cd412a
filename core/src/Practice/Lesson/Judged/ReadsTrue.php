<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Quantity\Figure;

/** What is typed is what the instrument showed. */
final readonly class ReadsTrue implements Judged
{
    /** Marks of its instrument by which a reading may be off; half of one is the eye's own. */
    private const MARKS = 1.0;

    private const COSTS = 4.0;

    private const UNSETTLED = 2.0;

    public static function in(Attempt $attempt): ?SkillScore
    {
        $read = self::readings($attempt);
        if ($read === []) {
            return null;
        }
        $remarks = self::unsettled($attempt);
        foreach ($read as [$place, $reading, $shown]) {
            $off = $shown === null ? null : $reading->mm - $shown;
            if ($shown === null) {
                $remarks[] = new Remark(
                    self::COSTS,
                    "{$reading->entered} was typed, and nobody had held an instrument to it since it last changed.",
                    $place,
                );
            } elseif (abs((float) $off) > self::MARKS * self::mark($attempt, $reading->instrument) + 1e-9) {
                $remarks[] = new Remark(
                    self::COSTS,
                    sprintf('%s was typed, and the instrument showed %s.', $reading->entered, Figure::length($shown)),
                    $place,
                );
            }
        }
        $high = self::readsHigh($attempt);

        return new SkillScore(Skill::Reading, $remarks, $remarks === [] ? 'Each reading is what the instrument showed.'
            : ($high !== null && abs($high) > 0.3
                ? sprintf(
                    'You read %s by %s on average: look at the mark square on.',
                    $high > 0 ? 'high' : 'low',
                    Figure::length(abs($high)),
                )
                : 'Look at the mark square on, and type what stands there.'));
    }

    /** @return list<Remark> on what was read straight after a turn */
    private static function unsettled(Attempt $attempt): array
    {
        $remarks = [];
        $isHeldSo = false;
        foreach ($attempt->moments() as $place => $moment) {
            $isHeldSo = $moment->deed instanceof Act && $moment->deed->kind === ActKind::Hold
                ? ! $moment->before->isSettled()
                : $isHeldSo;
            if ($isHeldSo && $moment->deed instanceof ReadingTaken) {
                $remarks[] = new Remark(
                    self::UNSETTLED,
                    'It was read straight after a turn: pulled fully and let snap back first, it lies where it stays.',
                    $place,
                );
            }
        }

        return $remarks;
    }

    /** mm by which what was typed is higher than what was shown, on average; null where nothing was read. */
    public static function readsHigh(Attempt $attempt): ?float
    {
        $off = [];
        foreach (self::readings($attempt) as [, $reading, $shown]) {
            if ($shown !== null) {
                $off[] = $reading->mm - $shown;
            }
        }

        return $off === [] ? null : array_sum($off) / count($off);
    }

    /**
     * @return list<array{int, ReadingTaken, float|null}> each with what was last shown there; null where it was not
     *     held since it changed
     */
    private static function readings(Attempt $attempt): array
    {
        [$shown, $read] = [[], []];
        foreach ($attempt->moments() as $place => $moment) {
            $deed = $moment->deed;
            if ($deed instanceof ReadingTaken) {
                $read[] = [$place, $deed, $shown["{$deed->point->value} {$deed->pose->value}"] ?? null];
            }
            if ($deed instanceof Act && $deed->kind === ActKind::Hold) {
                $shown["{$deed->point?->value} {$deed->pose?->value}"] = $moment->seen->mm;
            }
            // What was seen before it was turned says nothing of how it stands now.
            $shown = $deed instanceof Act && in_array($deed->kind, [ActKind::Turn, ActKind::Hook, ActKind::Cure], true)
                ? []
                : $shown;
        }

        return $read;
    }

    private static function mark(Attempt $attempt, string $instrument): float
    {
        foreach ($attempt->lesson->instruments as $one) {
            if ($one['id'] === $instrument) {
                return $one['resolution_mm'];
            }
        }

        return $attempt->lesson->instruments[0]['resolution_mm'];
    }
}
