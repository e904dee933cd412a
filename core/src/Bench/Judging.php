<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Measurement\Deciding;
use VividPull\Core\Measurement\Sweep;
use VividPull\Core\Measurement\Verdict;
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
            $unread = Verdict::unread('No play is read on this control');

            return new Judgement(null, $unread, null, $unread, Sweep::of([]), null, null, [], [], Gates::states($spec, $run, $facts, [], $measures), $measures, $state);
        }
        $sweep = self::sweep($spec, $facts->groups);
        $measured = $sweep->measuredBand($spec->play()->band);
        $straight = $measured ?? $spec->play()->band;
        $found = self::asFoundGroup($spec, $facts);
        $groups = self::currentGroups($spec, $facts);
        $poses = [];
        foreach ($spec->conditions->poses as $pose) {
            $group = $groups[$pose->value] ?? null;
            $band = $pose === Pose::Straight ? $straight : $spec->play()->band;
            $poses[$pose->value] = $group === null ? Verdict::unread(self::whyUnread($facts, $pose)) : self::verdict($spec, $facts, $group, $band);
        }

        return new Judgement(
            $found,
            $found === null ? Verdict::unread('Not read yet') : self::verdict($spec, $facts, $found, self::bandAsFound($spec, $facts)),
            $groups[Pose::Straight->value] ?? null,
            $poses[Pose::Straight->value] ?? Verdict::unread('The spec has no straight pose'),
            $sweep,
            $measured,
            $sweep->plannedBand($spec->play()->band),
            $poses,
            $groups,
            Gates::states($spec, $run, $facts, self::labelled($poses, '') + self::labelled($second->poses ?? [], ', '.($run->secondPulls()?->label() ?? '')), $measures),
            $measures,
            $state,
        );
    }

    /** What one group said about the band, whatever has been moved since. */
    public static function heldAgainst(Spec $spec, Judgement $judgement, ReadingGroup $group): Verdict
    {
        $objection = self::objection($spec, $group);
        $band = $group->first()->pose === Pose::Straight ? $judgement->measuredBand ?? $spec->play()->band : $spec->play()->band;

        return $objection !== null ? Verdict::notJudged($objection) : Verdict::of($group->found, $band, $spec->rule, static fn (): string => '');
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

    private static function verdict(Spec $spec, Facts $facts, ReadingGroup $group, SpecBand $band): Verdict
    {
        $objection = self::objection($spec, $group);

        return $objection !== null
            ? Verdict::notJudged($objection)
            : Verdict::of($group->found, $band, $spec->rule, static fn (): string => Deciding::advice($group, $band, $facts->standing, $spec->rule))
                ->convertedFrom($group->convertedFrom);
    }

    private static function objection(Spec $spec, ReadingGroup $group): ?string
    {
        $reading = $group->first();
        if ($group->crossed) {
            return 'two people moved this cable. Read it again';
        }
        if (! $group->isAt($spec->play()->point)) {
            return "read at the {$reading->point->label()}; the figure is for the {$spec->play()->point->label()}";
        }

        return $spec->conditions->objection($reading->engine, $reading->wheels);
    }

    /** The first straight group before any move that can be held against the band; else the first there is. */
    private static function asFoundGroup(Spec $spec, Facts $facts): ?ReadingGroup
    {
        $last = null;
        foreach ($facts->groups as $group) {
            if ($group->moves === 0 && $group->first()->pose === Pose::Straight && $group->setting === 0) {
                $last = self::objection($spec, $group) === null || $last === null ? $group : $last;
            }
        }

        return $last;
    }

    /** @return array<string, ReadingGroup> the last group of each pose since the last move and lock */
    private static function currentGroups(Spec $spec, Facts $facts): array
    {
        $current = [];
        foreach ($facts->groups as $group) {
            if ($group->setting === $facts->setting) {
                $current[$group->first()->pose->value] = $group;
            }
        }

        return $current;
    }

    private static function whyUnread(Facts $facts, Pose $pose): string
    {
        return match (true) {
            $facts->lastMoveCrossed => 'Two people moved this cable: read it again',
            $pose !== Pose::Straight => "Not read with {$pose->label()}",
            $facts->moves === [] && $facts->setting === 0 => 'Not read yet',
            $facts->setting > $facts->movedAt => 'Locked: read it again, for locking turns the adjuster',
            default => 'Moved: pull it fully three times and read it',
        };
    }

    /** What was found is held against what was known before anything moved; a pose tried later does not change it. */
    private static function bandAsFound(Spec $spec, Facts $facts): SpecBand
    {
        $before = array_values(array_filter($facts->groups, static fn (ReadingGroup $group): bool => $group->setting === 0));

        return self::sweep($spec, $before)->measuredBand($spec->play()->band) ?? $spec->play()->band;
    }

    /** @param  list<ReadingGroup>  $groups */
    private static function sweep(Spec $spec, array $groups): Sweep
    {
        $offsets = [];
        foreach ($spec->conditions->poses as $pose) {
            if ($pose !== Pose::Straight) {
                $offsets[$pose->value] = self::offset($spec, $groups, $pose);
            }
        }

        return Sweep::of($offsets);
    }

    /**
     * Pose minus straight, from the latest setting at which both were read.
     *
     * @param  list<ReadingGroup>  $groups
     * @return array{d: float, u: float}|null
     */
    private static function offset(Spec $spec, array $groups, Pose $pose): ?array
    {
        $straights = [];
        $offset = null;
        $others = [];
        foreach ($groups as $group) {
            if (self::objection($spec, $group) !== null) {
                continue;
            }
            match ($group->first()->pose) {
                Pose::Straight => $straights[$group->setting] = $group->found,
                $pose => $others[$group->setting] = $group->found,
                default => null,
            };
        }
        foreach ($others as $setting => $found) {
            $straight = $straights[$setting] ?? null;
            if ($straight !== null) {
                $offset = [
                    'd' => $found->mean - $straight->mean,
                    'u' => sqrt($found->standardOfDifference() ** 2 + $straight->standardOfDifference() ** 2),
                ];
            }
        }

        return $offset;
    }
}
