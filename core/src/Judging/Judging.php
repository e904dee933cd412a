<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Measurement\Sweep;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** Verdicts on reading groups, the sweep through the poses, and the hard gates. */
final readonly class Judging
{
    public static function judge(Spec $spec, Run $run, Facts $facts, ?Judgement $second = null): Judgement
    {
        $table = $spec->other(OutcomeTable::class);
        $measures = Measuring::of($spec, $facts);
        $state = $table === null ? null : TableState::of($table, $facts);
        if ($spec->aim === null) {
            $unread = new Judged(null, Verdict::unread('No play is read on this control'));
            $gates = Gates::states($spec, $run, $facts, [], $measures);

            return new Judgement($unread, $unread, Sweep::of([]), null, [], [], $gates, $measures, $state);
        }
        $sweep = self::sweep($spec, $facts);
        $found = self::asFoundGroup($spec, $facts);
        $groups = self::currentGroups($facts);
        $all = array_map(static fn (Pose $pose): string => $pose->value, $spec->conditions->poses);
        $straight = $sweep->foreseen($spec->play()->band, array_values(array_diff($all, array_keys($groups))));
        $poses = self::poses($spec, $facts, $groups, $straight);
        $now = $groups[Pose::Straight->value] ?? null;
        $unread = $poses[Pose::Straight->value] ?? Verdict::unread('The spec has no straight pose');
        $named = self::labelled($poses, '')
            + self::labelled($second->poses ?? [], ', '.($run->secondPulls()?->label() ?? ''));

        return new Judgement(
            new Judged(
                $found,
                $found === null
                    ? Verdict::unread('Not read yet')
                    : self::toSetBy($spec, $facts, $found, $spec->play()->band),
            ),
            new Judged($now, $now === null ? $unread : self::toSetBy($spec, $facts, $now, $straight)),
            $sweep,
            $spec->play()->band,
            $poses,
            $groups,
            Gates::states($spec, $run, $facts, $named, $measures),
            $measures,
            $state,
        );
    }

    /**
     * @param  array<string, ReadingGroup>  $groups  by pose
     * @return array<string, Verdict> each pose by its own reading
     */
    private static function poses(Spec $spec, Facts $facts, array $groups, SpecBand $straight): array
    {
        $poses = [];
        foreach ($spec->conditions->poses as $pose) {
            $group = $groups[$pose->value] ?? null;
            $band = $pose === Pose::Straight ? $straight : $spec->play()->band;
            $poses[$pose->value] = $group === null
                ? Verdict::unread(self::whyUnread($facts, $pose))
                : self::verdict($spec, $facts, $group, $band);
        }

        return $poses;
    }

    /** What one group said about the band, whatever has been moved since. */
    public static function heldAgainst(Spec $spec, ReadingGroup $group): Verdict
    {
        $objection = self::objection($spec, $group);

        return match (true) {
            $objection !== null => Verdict::notJudged($objection),
            $group->doubt !== null => Verdict::doubted($group->doubt->question),
            default => Verdict::of($group->found, $spec->play()->band, $spec->rule, static fn (): null => null),
        };
    }

    /**
     * @param  array<string, Verdict>  $poses
     * @return array<string, Verdict> by what is said of them
     */
    private static function labelled(array $poses, string $way): array
    {
        $labelled = [];
        foreach ($poses as $pose => $verdict) {
            $labelled[Pose::from($pose)->label().$way] = $verdict;
        }

        return $labelled;
    }

    private static function verdict(
        Spec $spec,
        Facts $facts,
        ReadingGroup $group,
        SpecBand $band,
        bool $onStand = false,
    ): Verdict {
        $objection = self::objection($spec, $group, $onStand);

        return match (true) {
            $objection !== null => Verdict::notJudged($objection),
            $group->doubt !== null => Verdict::doubted($group->doubt->question),
            default => Verdict::of(
                $group->found,
                $band,
                $spec->rule,
                static fn (): DecisionAdvice => DecisionAdvice::of($group, $band, $facts->standing, $spec->rule),
            )
                ->convertedFrom($group->convertedFrom),
        };
    }

    /** The same, good enough to set by: read on a stand it says so, and is proved on the ground. */
    private static function toSetBy(Spec $spec, Facts $facts, ReadingGroup $group, SpecBand $band): Verdict
    {
        return $spec->conditions->areProvisional($group->first()->engine, $group->first()->wheels)
            ? self::verdict($spec, $facts, $group, $band, true)->provisional()
            : self::verdict($spec, $facts, $group, $band);
    }

    private static function objection(Spec $spec, ReadingGroup $group, bool $onStand = false): ?string
    {
        $reading = $group->first();
        if ($group->at->crossed) {
            return 'two people worked on this at once. Read it again';
        }
        if (! $group->isAt($spec->play()->point)) {
            return "read at the {$spec->pointName($reading->point)}; the figure is for the {$spec->pointName($spec->play()->point)}";
        }

        return $onStand ? null : $spec->conditions->objection($reading->engine, $reading->wheels);
    }

    /** The first straight group before any move that can be held against the band; else the first there is. */
    private static function asFoundGroup(Spec $spec, Facts $facts): ?ReadingGroup
    {
        $last = null;
        foreach ($facts->readings->groups as $group) {
            if ($group->at->moves === 0 && $group->first()->pose === Pose::Straight && $group->at->setting === 0) {
                $last = self::objection($spec, $group) === null || $last === null ? $group : $last;
            }
        }

        return $last;
    }

    /** @return array<string, ReadingGroup> the last group of each pose since the last move and lock */
    public static function currentGroups(Facts $facts): array
    {
        $current = [];
        foreach ($facts->readings->groups as $group) {
            if ($group->at->setting === $facts->readings->setting) {
                $current[$group->first()->pose->value] = $group;
            }
        }

        return $current;
    }

    private static function whyUnread(Facts $facts, Pose $pose): string
    {
        return match (true) {
            $facts->readings->lastMoveCrossed => 'Two people worked on this at once: read it again',
            $pose !== Pose::Straight => "Not read with {$pose->label()}",
            $facts->readings->moves === [] && $facts->readings->setting === 0 => 'Not read yet',
            $facts->readings->setting > $facts->readings->movedAt => 'Locked: read it again, for locking turns the adjuster',
            $facts->readings->movedAt === $facts->readings->changedAt => $facts->observations->readAnew?->sentence()
                ?? 'Changed: pull it fully three times and read it',
            default => 'Moved: pull it fully three times and read it',
        };
    }

    /**
     * What poses differ by is of the route: it stays as adjusters are turned, and not where something was put right or
     * fitted since.
     */
    private static function sweep(Spec $spec, Facts $facts): Sweep
    {
        if (count($spec->conditions->poses) < 2) {
            return Sweep::of([]);
        }
        $settings = [];
        foreach ($facts->readings->groups as $group) {
            if (
                $group->at->series === $facts->readings->series
                && $group->doubt === null
                && self::objection($spec, $group) === null
            ) {
                $settings[$group->at->setting][$group->first()->pose->value] = $group->found;
            }
        }
        $offsets = [];
        foreach ($spec->conditions->poses as $pose) {
            if ($pose !== Pose::Straight) {
                $offsets[$pose->value] = self::offset($settings, $pose);
            }
        }

        return Sweep::of($offsets, self::pairs($settings));
    }

    /**
     * Pose minus straight, from the latest setting at which both were read.
     *
     * @param  array<int, array<string, Uncertainty>>  $settings  what each pose read, by setting
     * @return array{d: float, u: float}|null
     */
    private static function offset(array $settings, Pose $pose): ?array
    {
        foreach (array_reverse($settings) as $poses) {
            [$here, $straight] = [$poses[$pose->value] ?? null, $poses[Pose::Straight->value] ?? null];
            if ($here !== null && $straight !== null) {
                return [
                    'd' => $here->mean - $straight->mean,
                    'u' => hypot($here->standardOfDifference(), $straight->standardOfDifference()),
                ];
            }
        }

        return null;
    }

    /**
     * Each two poses of the latest setting at which more than one was read.
     *
     * @param  array<int, array<string, Uncertainty>>  $settings
     * @return list<array{apart: float, u: float, freedom: float, once: string|null}>
     */
    private static function pairs(array $settings): array
    {
        foreach (array_reverse($settings) as $poses) {
            $pairs = [];
            foreach ($poses as $pose => $one) {
                foreach (array_slice(
                    $poses,
                    (int) array_search($pose, array_keys($poses), true) + 1,
                ) as $another => $other) {
                    $pairs[] = [
                        'apart' => abs($one->mean - $other->mean),
                        'u' => hypot($one->standardOfDifference(), $other->standardOfDifference()),
                        'freedom' => min($one->freedom(), $other->freedom()),
                        'once' => min($one->count, $other->count) > 1 ? null : ($other->count < 2 ? $another : $pose),
                    ];
                }
            }
            if ($pairs !== []) {
                return $pairs;
            }
        }

        return [];
    }
}
