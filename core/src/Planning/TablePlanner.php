<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\MoveMade;
use VividPull\Core\Facts\SeenOutcome;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\TableState;
use VividPull\Core\Learning\HalfPlane;
use VividPull\Core\Learning\Interval;
use VividPull\Core\Learning\OffsetBounds;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\ArmLook;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;

/**
 * Which way, and how far, from what the machine did at its settings.
 *
 * What was seen at a setting p bounds the sum p + w·o of the unknown offsets; what was seen before a move bounds it
 * less well, by the error of that move. A shift x of one cable is certain to cure all settings if it lies in [L* − L,
 * U* − U] for each of them, with [L, U] the bounds on what is and [L*, U*] on what is wanted. Where there is none, the
 * move goes from the middle of one to the middle of the other. Bounds that contradict each other are no offset at all.
 */
final readonly class TablePlanner
{
    /** What so many moves have not brought right, another will not (ours). */
    private const MOST_MOVES = 20;

    /** @param  array<string, Mover>  $movers  by adjuster, with the way a trial has shown */
    private function __construct(
        private Spec $spec,
        private OutcomeTable $table,
        private TableState $state,
        private Run $run,
        private Facts $facts,
        private array $movers,
    ) {}

    public static function advise(Spec $spec, TableState $state, Run $run, Facts $facts): TableAdvice
    {
        return (new self($spec, $state->table, $state, $run, $facts, self::shown($state->table, $facts)))->advice();
    }

    private function advice(): TableAdvice
    {
        if ($this->state->isSet()) {
            return $this->finer()
                ?? TableAdvice::say(TableAdviceKind::Right, 'Every setting tried does what it should. Prove it.');
        }
        $stands = $this->table->isLearned() ? [] : $this->standsTogether();
        if ($stands === null) {
            return TableAdvice::stuck(
                TableAdviceKind::Contradiction,
                'No offset explains all that was seen: '.$this->told()
                    .'. Suspect a bent arm, a worn or wrong part, or a setting tried wrongly. Take the doubtful one back and try it again.',
                self::bentOrWorn(),
            );
        }
        $unsaid = $this->unsaidMove();
        if ($unsaid !== null) {
            return TableAdvice::say(
                TableAdviceKind::WhichWay,
                "Which way did the {$this->table->arm} go with that move?",
            );
        }
        $untold = $this->state->untold(true);

        if (count($this->facts->readings->moves) >= $this->mostMoves()) {
            return TableAdvice::stuck(
                TableAdviceKind::OutOfReach,
                $this->mostMoves()
                    .' moves have not brought it right. Suspect a bent arm or bracket, or a worn or wrong part.',
                self::bentOrWorn(),
            );
        }

        return $untold !== []
            ? TableAdvice::say(
                TableAdviceKind::Try,
                'Try '.implode(' and ', array_map(static fn (OutcomeSetting $one): string => $one->label, $untold)).'.',
            )
            : ($this->table->isLearned() ? $this->learned() : $this->move($stands));
    }

    /**
     * Every setting is right, and a proof asks for more or less: the smallest step that way, where nothing that was
     * seen excludes it.
     */
    private function finer(): ?TableAdvice
    {
        $evidence = ProofEvidence::of($this->spec, $this->run, $this->facts);
        $bearing = $evidence->bearing();
        $stands = $bearing === null || $this->table->isLearned() ? null : $this->standsTogether();
        if ($stands === null) {
            return null;
        }
        foreach ($this->movers as $mover) {
            $adjuster = $this->run->adjuster($mover->adjuster);
            if ($adjuster === null || $mover->perStep === null || $mover->sign === null) {
                continue;
            }
            // The table's plus is where the wire is drawn on: less slack.
            $way = $bearing === Bearing::LessSlack ? 1 : -1;
            $steps = Steps::fromCount($way * $mover->sign * $adjuster->smallestStep()->count);
            $x = $way * $mover->perStep * $adjuster->smallestStep()->count / $adjuster->counting()->each->count;
            $excluded = array_filter(
                $this->table->settings,
                static fn (OutcomeSetting $one): bool => ! $stands[$one->key]
                    ->shifted($one->weight($mover->adjuster) * $x)
                    ->overlaps(Interval::ofEdges($one->wanted()->low, $one->wanted()->high)),
            );
            if ($excluded === [] && $this->hasRoom($adjuster, $steps) && ! $this->facts->isSeized($adjuster)) {
                return TableAdvice::move(
                    ucfirst("{$this->table->arm} ".$this->table->sayShift($x)),
                    $evidence->said().' '.ucfirst("{$adjuster->name()}: {$adjuster->say($steps)}."),
                    $adjuster->id(),
                    $steps,
                    $x,
                    false,
                );
            }
        }

        return null;
    }

    private function mostMoves(): int
    {
        return $this->table->isLearned() ? self::MOST_MOVES * count($this->movers) : self::MOST_MOVES;
    }

    private function learned(): TableAdvice
    {
        $seized = array_filter($this->run->adjusters(), $this->facts->isSeized(...));

        return (new MeetingArm($this->state, $this->run, $this->facts, $this->movers))->next()
            ?? ($seized === []
                ? null
                : TableAdvice::stuck(
                    TableAdviceKind::OutOfReach,
                    'With the others alone it cannot be brought right, and the '
                        .implode(' and the ', array_map(static fn (Adjuster $one): string => $one->name(), $seized))
                        .' will not turn. '.AdjusterAdvice::FREE.' '.Limits::FREE_FIRST,
                    [Suspect::of('the adjuster that will not turn', Cure::Freed)],
                ))
            ?? TableAdvice::stuck(
                TableAdviceKind::OutOfReach,
                'By what was seen no place of any cable is left: '.$this->told()
                    .'. Suspect a bent arm or bracket, or a worn or wrong part.',
                self::bentOrWorn(),
            );
    }

    /**
     * Where the arm stands at each setting, when one offset of each cable explains all of them; null where none does.
     *
     * @return array<string, Interval>|null
     */
    private function standsTogether(): ?array
    {
        $bounds = OffsetBounds::of(max(1, min(3, count($this->movers))), $this->planes());

        return $bounds === null
            ? null
            : array_map(
                fn (OutcomeSetting $one): Interval => Interval::between(
                    $bounds->least($this->weights($one)),
                    $bounds->most($this->weights($one)),
                )->shifted($one->at),
                $this->table->settings,
            );
    }

    /** @param  array<string, Interval>  $stands */
    private function move(array $stands): TableAdvice
    {
        [$best, $reasons, $seized] = [null, [], []];
        $shifts = new TableShifts($this->table, $stands);
        foreach ($this->movers as $mover) {
            $adjuster = $this->run->adjuster($mover->adjuster);
            if ($adjuster !== null && $this->facts->isSeized($adjuster)) {
                $seized[] = $adjuster->name();

                continue;
            }
            $wished = $shifts->of($mover);
            if ($adjuster === null || $wished === null) {
                $reasons[] = 'the '.($adjuster?->name() ?? $mover->adjuster).' alone cannot cure it';

                continue;
            }
            $shift = $wished->within(...$this->room($mover, $adjuster));
            $steps = $shift === null ? null : $this->steps($mover, $adjuster, $shift->x);
            if ($steps !== null && $this->isTriedThere($adjuster, $steps)) {
                return $this->nothingBetween($adjuster);
            }
            if ($shift === null || ! $this->hasRoom($adjuster, $steps)) {
                $reasons[] = "the {$adjuster->name()} has ".$this->roomSaid($mover, $adjuster, $wished->x);

                continue;
            }
            $curedBefore = $this->facts->standing->history->cured === $adjuster->id();
            $soonest = [$shift->isCertain ? 0 : 1, $curedBefore ? 0 : 1, $adjuster->access()->minutes, abs($shift->x)];
            $cost = [-$shift->right, ...$soonest];
            if ($best === null || $cost < $best['cost']) {
                $best = ['cost' => $cost, 'advice' => $this->said($mover, $adjuster, $shift, $steps)];
            }
        }

        return $best['advice'] ?? $this->outOfReach($seized, $reasons);
    }

    /**
     * @param  list<string>  $seized  names of adjusters that will not turn
     * @param  list<string>  $reasons  why each of the others does not cure it
     */
    private function outOfReach(array $seized, array $reasons): TableAdvice
    {
        return TableAdvice::stuck(
            TableAdviceKind::OutOfReach,
            $seized !== []
                ? 'The '.implode(' and the ', $seized).' will not turn. '.AdjusterAdvice::FREE.' '.Limits::FREE_FIRST
                : 'By what was seen ('.$this->told().') no position is left: '.implode('; ', $reasons)
                    .'. Suspect a bent arm or bracket, or a worn or wrong part.',
            $seized === []
                ? self::bentOrWorn()
                : [Suspect::of('the adjuster that will not turn', Cure::Freed)],
        );
    }

    /**
     * @return array{float, float} how far the arm can still be moved either way, with the thread engaged that must be,
     *     in the table's unit; where nobody knows where it stands, the most that can be
     */
    private function room(Mover $mover, Adjuster $adjuster): array
    {
        if ($mover->perStep === null || $mover->sign === null) {
            return [-INF, INF];
        }
        $small = $adjuster->smallestStep()->count;
        $each = $adjuster->counting()->each->count;
        $arm = static fn (Steps $room): float => $mover->sign * $mover->perStep
            * (intdiv($room->count, $small) * $small) / $each;
        $room = $this->facts->adjusters->room($adjuster);
        $ends = [$arm($room->from), $arm($room->to)];

        return [min($ends), max($ends)];
    }

    private function roomSaid(Mover $mover, Adjuster $adjuster, float $wished): string
    {
        [$from, $to] = $this->room($mover, $adjuster);
        $left = $wished < 0.0 ? -$from : $to;

        return $left < 1e-9
            ? 'no room left that way'
            : 'only '.$this->table->sayShift($wished < 0.0 ? $from : $to).' left';
    }

    private function said(Mover $mover, Adjuster $adjuster, TableShift $shift, ?Steps $steps): TableAdvice
    {
        $arm = ucfirst("{$this->table->arm} ".$this->table->sayShift($shift->x));
        $how = match (true) {
            $mover->sign === null => "Move the {$adjuster->name()} a little either way and see which way the arm goes: it may go the other way.",
            $steps === null => "Move the {$adjuster->name()} slightly, so that the arm goes that way.",
            default => ucfirst($adjuster->name()).": {$adjuster->say($steps)}.",
        };
        $sure = match (true) {
            $shift->isCertain => '',
            $shift->isWhole => ' Not certain yet: it halves what is not known.',
            default => ' More than one cable is out: this one first, then the table again.',
        };

        return TableAdvice::move($arm, $how.$sure, $adjuster->id(), $steps, $shift->x, $shift->isCertain);
    }

    /** @return list<HalfPlane> what was seen, as bounds on where the offsets stand now */
    private function planes(): array
    {
        $planes = [];
        foreach ($this->sights() as [$setting, $stands]) {
            array_push($planes, ...self::bounds($this->weights($setting), $stands));
        }

        return $planes;
    }

    /**
     * @return list<array{OutcomeSetting, Interval}> each thing seen, with where its setting stands now by it, its own
     *     place left out
     */
    private function sights(): array
    {
        $sights = [];
        foreach ($this->facts->observations->outcomes as $seen) {
            $setting = $this->table->settings[$seen->entry->setting] ?? null;
            $saw = $setting?->sees[$seen->entry->saw] ?? null;
            if (
                $setting !== null
                && $saw !== null
                && ! $saw->provesNothing
                && $seen->series === $this->facts->readings->series
            ) {
                $sights[] = [
                    $setting,
                    Interval::ofEdges($saw->low, $saw->high)
                        ->shifted(-$setting->at)
                        ->plus($this->shiftSince($seen, $setting)),
                ];
            }
        }

        return $sights;
    }

    /**
     * @param  list<float>  $weights
     * @return list<HalfPlane>
     */
    private static function bounds(array $weights, Interval $sum): array
    {
        $back = array_map(static fn (float $weight): float => -$weight, $weights);

        return [
            ...(is_finite($sum->from) ? [new HalfPlane($weights, $sum->from)] : []),
            ...(is_finite($sum->to) ? [new HalfPlane($back, -$sum->to)] : []),
        ];
    }

    /** How far the arm may have gone at this setting since then. */
    private function shiftSince(SeenOutcome $seen, OutcomeSetting $setting): Interval
    {
        $gone = Interval::nothingBut(0.0);
        foreach (array_slice($this->facts->readings->moves, $seen->moves) as $move) {
            $mover = $this->movers[$move->entry->adjuster] ?? null;
            $gone = $mover === null
                ? $gone
                : $gone->plus($this->moved($mover, $move->entry->steps)->times($setting->weight($mover->adjuster)));
        }

        return $gone;
    }

    /** How far one move shifted the arm. */
    private function moved(Mover $mover, ?Steps $steps): Interval
    {
        $each = $this->run->adjuster($mover->adjuster)?->counting()->each;
        if ($steps === null || $each === null || $mover->sign === null) {
            return Interval::everything();
        }
        $way = $mover->sign * ($steps->count <=> 0);
        $size = $mover->perStep === null ? null : $mover->perStep * abs($steps->count / $each->count);

        return $size === null
            ? Interval::between(0.0, $way * INF)
            : Interval::between($way * $size * (1 - $mover->error), $way * $size * (1 + $mover->error));
    }

    /** Null where nobody knows what a step moves. */
    private function steps(Mover $mover, Adjuster $adjuster, float $shift): ?Steps
    {
        if ($mover->perStep === null || $mover->sign === null) {
            return null;
        }
        $small = $adjuster->smallestStep()->count;
        $count = (int) round(
            $mover->sign * $shift / $mover->perStep * $adjuster->counting()->each->count / $small,
        ) * $small;

        return Steps::fromCount($count === 0 ? ($mover->sign * $shift < 0 ? -$small : $small) : $count);
    }

    /**
     * Whether this would go back to a hole or rung at which it did not do what it should; there is nothing between two
     * of them.
     */
    private function isTriedThere(Adjuster $adjuster, Steps $steps): bool
    {
        if (! $adjuster->counting()->unit->isWhole() || $adjuster->counting()->unit->turns()) {
            return false;
        }
        foreach ($this->facts->observations->outcomes as $seen) {
            $setting = $this->table->settings[$seen->entry->setting] ?? null;
            $moves = array_slice($this->facts->readings->moves, $seen->moves);
            $ofOthers = array_filter(
                $moves,
                static fn (MoveMade $move): bool => $move->entry->adjuster !== $adjuster->id()
                    || $move->entry->steps === null,
            );
            $isWrong = $setting !== null
                && $seen->entry->saw !== $setting->wants
                && ($setting->sees[$seen->entry->saw]->provesNothing ?? true) === false;
            if ($isWrong && $ofOthers === [] && $seen->series === $this->facts->readings->series
                && array_sum(array_map(
                    static fn (MoveMade $move): int => $move->entry->steps->count ?? 0,
                    $moves,
                )) === -$steps->count) {
                return true;
            }
        }

        return false;
    }

    /**
     * One hole is too loose and the next too tight: what imitates a bad setting is looked for, and no part is blamed by
     * name.
     */
    private function nothingBetween(Adjuster $adjuster): TableAdvice
    {
        $unit = $adjuster->counting()->unit->value;

        return TableAdvice::stuck(
            TableAdviceKind::OutOfReach,
            "No {$unit} does both: one was too little and the next too much. Look further: "
                .implode(' ', Families::of($this->spec->family)->imitators()),
            [],
        );
    }

    private function hasRoom(Adjuster $adjuster, ?Steps $steps): bool
    {
        return $steps === null || $this->facts->adjusters->room($adjuster)->contains($steps);
    }

    /** @return list<float> */
    private function weights(OutcomeSetting $setting): array
    {
        return array_values(array_map(
            static fn (Mover $mover): float => $setting->weight($mover->adjuster),
            $this->movers,
        ));
    }

    /** Whether its way is known by a look alone, and no trial has shown it. */
    private function isOnlyLooked(string $adjuster): bool
    {
        return ($this->table->movers[$adjuster]->sign ?? null) === null
            && self::shown($this->table, $this->facts, false)[$adjuster]->sign === null;
    }

    /** The last move of an adjuster whose way nobody has seen yet. */
    private function unsaidMove(): ?string
    {
        foreach ($this->facts->readings->moves as $move) {
            $mover = $this->movers[$move->entry->adjuster] ?? null;
            // What nobody counted shows no way to go by: the next trial does.
            if (
                $mover !== null
                && $move->entry->steps !== null
                && ($mover->sign === null || ($this->isOnlyLooked($mover->adjuster)))
            ) {
                return $mover->adjuster;
            }
        }

        return null;
    }

    /**
     * The movers, each with the way that what was seen of the arm after a move has shown, or a look before one.
     *
     * @param  bool  $byLook  whether a look alone counts
     * @return array<string, Mover>
     */
    private static function shown(OutcomeTable $table, Facts $facts, bool $byLook = true): array
    {
        $movers = $table->movers;
        foreach ($facts->observations->outcomes as $seen) {
            $look = $seen->entry->setting === $table->armKey() ? ArmLook::tryFrom($seen->entry->saw)?->sign() : null;
            if ($look !== null) {
                $movers = $byLook
                    ? array_map(
                        static fn (Mover $one): Mover => $one->sign === null ? $one->turnedOut($look) : $one,
                        $movers,
                    )
                    : $movers;

                continue;
            }
            $move = $seen->moves === 0 ? null : $facts->readings->moves[$seen->moves - 1] ?? null;
            $steps = $move?->entry->steps;
            if (
                $seen->entry->setting !== $table->armKey()
                || $move === null
                || $steps === null
                || ! isset($movers[$move->entry->adjuster])
            ) {
                continue;
            }
            $movers[$move->entry->adjuster] = $movers[$move->entry->adjuster]->turnedOut(
                ($seen->entry->saw === 'plus' ? 1 : -1) * ($steps->count <=> 0),
            );
        }

        return $movers;
    }

    private function told(): string
    {
        $told = [];
        foreach ($this->facts->observations->outcomes as $seen) {
            $setting = $this->table->settings[$seen->entry->setting] ?? null;
            if ($setting !== null && $seen->series === $this->facts->readings->series) {
                $told[$setting->key] = "{$setting->label} ".lcfirst($setting->sees[$seen->entry->saw]->label ?? '');
            }
        }

        return implode(', ', $told);
    }

    /** @return list<Suspect> */
    private static function bentOrWorn(): array
    {
        return [Suspect::of('a bent arm or bracket', Cure::Mount), Suspect::of('a worn or wrong part')];
    }
}
