<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\ReplacementStep;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Planning\MatchVerdict;
use VividPull\Core\Planning\ProofEvidence;
use VividPull\Core\Planning\TableAdviceKind;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Spec\ArmLook;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\Spec;

/**
 * What a stage asks beside readings of play: questions as found, settings tried, things measured, put right and
 * replaced.
 */
final readonly class BesideItems
{
    private Spec $spec;

    private Run $run;

    private Facts $facts;

    private Judgement $judgement;

    public function __construct(private CableState $first, private ?CableState $second)
    {
        [$this->spec, $this->run, $this->facts] = [$first->spec, $first->run, $first->facts];
        $this->judgement = $first->judgement;
    }

    /** @return list<StageItem> before anything is changed */
    public function asFound(): array
    {
        $items = [];
        foreach ($this->judgement->table?->table->telling() ?? [] as $setting) {
            $saw = $setting->sees[$this->judgement->table?->found[$setting->key] ?? ''] ?? null;
            $items[] = $this->outcome(
                'found:outcome',
                $setting,
                $saw,
                ($saw !== null && ! $saw->provesNothing) || $this->facts->readings->isChanged(),
            );
        }
        $isUnfit = false;
        foreach ($this->foundProofs() as $proof) {
            $given = $this->facts->answers->foundChecks[$proof->key] ?? null;
            $items[] = $this->found($proof, $given, $isUnfit && $proof->running->runs());
            $isUnfit = $isUnfit || ($proof->gate !== null && $given !== null && ! $proof->passes($given->answer));
        }
        foreach ($this->judgement->measures as $state) {
            if ($state->measure->asFound) {
                $said = $state->before === null
                    ? null
                    : self::figure($state, $state->before->mean).' · '
                        .($this->facts->readings->isChanged() ? 'as found' : $state->verdict->sentence);
                $items[] = $this->measure(
                    "found:measure:{$state->measure->key->value}",
                    $state,
                    ($state->before->count ?? 0) >= $state->measure->runs || $this->facts->readings->isChanged(),
                    false,
                    $said,
                );
            }
        }

        return $items;
    }

    /** Whether what tells was found right, and nothing seen since says otherwise: then nothing is going to be moved. */
    public function isFoundRight(): bool
    {
        $table = $this->judgement->table;
        if (
            $table === null
            || $table->isAnyWrong()
            || array_filter(
                $table->table->telling(),
                static fn (OutcomeSetting $one): bool => ($table->found[$one->key] ?? null) !== $one->wants,
            ) !== []
        ) {
            return false;
        }
        foreach ($this->spec->proofs($this->run) as $proof) {
            foreach ($proof->tries() as $pose) {
                $given = $this->facts->answers->checks[Facts::checkKey($proof->key, $pose?->value)] ?? null;
                if ($given !== null && ! $proof->passes($given->answer)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return list<StageItem> the settings that tell, tried again since the last change, and then all of them right */
    public function tried(): array
    {
        $table = $this->judgement->table;
        if ($table === null) {
            return [];
        }
        $items = [];
        foreach ($this->facts->readings->isChanged() ? $table->table->telling() : [] as $setting) {
            $saw = $setting->sees[$table->now[$setting->key] ?? ''] ?? null;
            $items[] = $this->outcome('try', $setting, $saw, $saw !== null && ! $saw->provesNothing);
        }
        $advice = TablePlanner::advise($this->spec, $table, $this->run, $this->facts);
        $set = $table->isSet() && $advice->kind !== TableAdviceKind::Move;

        return [
            ...$items,
            new StageItem(
                'in_band',
                ItemKind::InBand,
                'Bring every setting right',
                new ItemState(
                    $set || $this->facts->chosen->byChoice !== null,
                    said: $set ? 'Every setting tried does what it should' : $advice->sentence,
                ),
            ),
        ];
    }

    /** @return list<StageItem> asked once, where nobody knows which way the arm goes */
    public function whichWay(): array
    {
        $state = $this->judgement->table;
        if ($state === null) {
            return [];
        }
        $advice = TablePlanner::advise($this->spec, $state, $this->run, $this->facts);
        $look = $advice->kind === TableAdviceKind::Move && $advice->steps === null ? $this->look($state->table) : null;
        if ($look !== null) {
            return [$look];
        }
        if ($advice->kind !== TableAdviceKind::WhichWay) {
            return [];
        }
        $answer = static fn (string $word, string $way): Answer => new Answer(
            $word,
            ucfirst($way),
            OutcomeSeen::draft($state->table->armKey(), $word),
        );

        return [new StageItem(
            ItemTopic::Arm->value,
            ItemKind::Answer,
            "Which way did the {$state->table->arm} go?",
            ItemState::open(),
            'Arm and bracket may move opposite ways: look at the arm.',
            answers: [$answer('plus', $state->table->plus), $answer('minus', $state->table->minus)],
        )];
    }

    /**
     * Look before loosening: asked where something is wrong, nothing was moved, and nobody knows which way the bracket
     * carries the arm.
     */
    private function look(OutcomeTable $table): ?StageItem
    {
        $isKnown = array_filter($table->movers, static fn (Mover $one): bool => $one->sign === null) === [];
        $telling = $table->telling();
        usort($telling, static fn (OutcomeSetting $one, OutcomeSetting $other): int => $one->at <=> $other->at);
        [$low, $high] = [$telling[0], $telling[count($telling) - 1]];
        if (
            $isKnown
            || $this->facts->readings->moves !== []
            || $this->judgement->table?->isAnyWrong() !== true
            || $low->at >= $high->at
        ) {
            return null;
        }
        foreach ($this->facts->observations->outcomes as $seen) {
            if ($seen->entry->setting === $table->armKey()) {
                return null;
            }
        }

        return new StageItem(
            ItemTopic::Look->value,
            ItemKind::Answer,
            "Draw the lever slowly from {$high->label} to {$low->label}: which way does the {$table->arm} go?",
            ItemState::open(),
            'Before anything is loosened. It says which way to move the bracket first.',
            'Engine off. Hands clear of the arm: its return spring is strong.',
            array_map(
                static fn (ArmLook $look): Answer => new Answer(
                    $look->value,
                    $look->label(),
                    OutcomeSeen::draft($table->armKey(), $look->value),
                ),
                ArmLook::cases(),
            ),
        );
    }

    /**
     * What no adjuster cures: found so, or failed in the proof with no step left that would mend it.
     *
     * @param  bool  $finer  whether a step of an adjuster answers what failed
     * @return list<StageItem>
     */
    public function putRight(bool $finer): array
    {
        $failing = $this->foundFailing();
        $slow = $this->judgement->toBePutRight();
        $evidence = $finer ? null : ProofEvidence::of($this->spec, $this->run, $this->facts);
        $isProved = $evidence !== null
            && $evidence->failed !== []
            && ($failing !== [] || $evidence->isUnsafe() || $this->isAllAnswered());
        if ($failing === [] && $slow === [] && ! $isProved && $this->facts->observations->putRight === []) {
            return [];
        }
        $done = ! $isProved && $slow === [] && ($failing === [] || $finer);
        $last = $this->facts->observations->putRight[count($this->facts->observations->putRight) - 1] ?? null;

        return [new StageItem(
            'put_right',
            ItemKind::InBand,
            'Put right what failed',
            new ItemState(
                $done,
                said: $done
                    ? $last?->cure->label()
                    : trim(($isProved ? $evidence->whyNoSetting() : self::saidOf($failing)).' '.$this->tooMuch($slow)),
                stamp: $done ? $last?->stamp : null,
            ),
        )];
    }

    /** @return array<Proof> what failed before anything was changed, and symptoms that are there still */
    private function foundFailing(): array
    {
        return array_filter(
            [...$this->foundProofs(), ...$this->spec->symptomProofs($this->facts->observations->told)],
            fn (Proof $proof): bool => ($answer = $this->facts->answers->checks[$proof->key] ?? null) !== null
                && ! $proof->passes($answer->answer),
        );
    }

    /** @param  array<Proof>  $failing */
    private static function saidOf(array $failing): string
    {
        return implode(' ', array_map(
            static fn (Proof $proof): string => SymptomProofs::isOne($proof)
                ? SymptomProofs::stillThere($proof)
                : 'Failed: '.lcfirst(rtrim($proof->question, '?')).'.',
            $failing,
        ));
    }

    /** @param  array<MeasureState>  $measures */
    private function tooMuch(array $measures): string
    {
        return implode(' ', array_map(
            fn (MeasureState $one): string => "{$one->measure->key->label()}: "
                .($one->found === null ? '' : self::figure($one, $one->found->mean).'. ')
                ."{$one->verdict->sentence}.",
            $measures,
        ));
    }

    /** What is left to try is tried first, where it is safe: it may say which way. */
    private function isAllAnswered(): bool
    {
        foreach ($this->spec->proofs($this->run) as $proof) {
            foreach ($proof->tries() as $pose) {
                if (! isset($this->facts->answers->checks[Facts::checkKey($proof->key, $pose?->value)])) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return list<StageItem> every setting, once nothing is moved any more */
    public function outcomes(): array
    {
        $items = [];
        foreach ($this->judgement->table->table->settings ?? [] as $setting) {
            $saw = $setting->sees[$this->judgement->table?->now[$setting->key] ?? ''] ?? null;
            $items[] = $this->outcome(
                'outcome',
                $setting,
                $saw,
                $this->judgement->table?->isRight($setting) === true,
                $this->judgement->table?->isWrong($setting) === true,
            );
        }

        return $items;
    }

    /** @return list<StageItem> what is timed or paced */
    public function measured(Running $running): array
    {
        $items = [];
        foreach (array_filter(
            $this->judgement->measures,
            static fn (MeasureState $state): bool => $state->measure->running === $running,
        ) as $state) {
            $inside = $state->isWhole() && $state->verdict->is(VerdictKind::Inside);
            $items[] = $this->measure(
                "measure:{$state->measure->key->value}",
                $state,
                $inside,
                $state->verdict->kind->isOutside(),
                $this->said($state),
            );
        }

        return $items;
    }

    /** @return list<StageItem> the steps of replacing the cable, once that is begun */
    public function replacing(): array
    {
        $under = $this->facts->observations->replacing;
        if ($under === null) {
            return [];
        }
        // One that does not fit is not drawn through: another is compared first.
        $again = ! $under->isOver
            && CableMatching::of($this->first, $this->second)?->verdict === MatchVerdict::DoesNotFit;
        $items = array_map(
            fn (GuideStep $step): StageItem => $this->replacementStep(
                $step,
                $under->isDone($step) && ! ($again && $step->key === Replacement::COMPARE),
                $under->isPassed($step),
            ),
            $under->steps,
        );
        if ($again) {
            // Nothing else goes on before another was laid beside the old one.
            $isOther = static fn (StageItem $one): bool => $one->kind !== ItemKind::Compare;
            usort($items, static fn (StageItem $a, StageItem $b): int => $isOther($a) <=> $isOther($b));
        }
        $items[] = new StageItem(
            'replace:fitted',
            ItemKind::Answer,
            'Write down the cable that was fitted',
            new ItemState($under->isOver, said: $under->isOver ? 'Fitted' : null),
            'Its number and where it came from, so that the next one fits too.',
            answers: [new Answer('ok', 'It is fitted', PartFitted::draft(Part::Cable), AnswerTone::Right, true)],
        );

        return $items;
    }

    private function replacementStep(GuideStep $step, bool $done, bool $passed): StageItem
    {
        $kind = match ($step->key) {
            Replacement::NOTE => ItemKind::Photo,
            Replacement::COMPARE => ItemKind::Compare,
            default => ItemKind::Answer,
        };

        $answers = $kind === ItemKind::Compare ? [] : [
            new Answer(
                'ok',
                'Done',
                ReplacementStep::draft($step->key),
                AnswerTone::Right,
                $kind === ItemKind::Photo && $this->facts->observations->photos === [],
            ),
            ...($step->mayBePassed
                ? [new Answer('not_here', 'Not here', ReplacementStep::draftNotHere($step->key))]
                : []),
        ];

        return new StageItem(
            "replace:{$step->key}",
            $kind,
            $step->label,
            new ItemState($done, said: $done ? ($passed ? 'Not here' : 'Done') : null),
            $this->tools($step),
            $step->caution,
            $answers,
        );
    }

    /** What the step wants in the hand: as the book has it, or what the adjusters of this cable are turned with. */
    private function tools(GuideStep $step): ?string
    {
        $tools = $this->spec->book->tools[$step->key] ?? null;
        if ($tools === null && $step->key === Replacement::SLACK) {
            $cable = $this->facts->observations->replacing?->cable;
            $of = array_filter(
                $this->run->adjusters(),
                fn (Adjuster $one): bool => $one->access()->tools !== 'none'
                    && ($cable === null || $this->run->cableOf($one->id())?->id === $cable),
            );
            $tools = $of === []
                ? null
                : implode(
                    '; ',
                    array_map(
                        static fn (Adjuster $one): string => "{$one->name()}: {$one->access()->tools}",
                        array_values($of),
                    ),
                );
        }

        return $tools === null ? null : "Tools: {$tools}.";
    }

    private function outcome(
        string $key,
        OutcomeSetting $setting,
        ?OutcomeWord $saw,
        bool $done,
        bool $failed = false,
    ): StageItem {
        $answers = array_values(array_map(
            static fn (OutcomeWord $word): Answer => new Answer(
                $word->key,
                $word->label,
                OutcomeSeen::draft($setting->key, $word->key),
                $word->provesNothing
                    ? AnswerTone::Plain
                    : ($word->key === $setting->wants ? AnswerTone::Right : AnswerTone::Wrong),
            ),
            $setting->sees,
        ));

        return new StageItem(
            "{$key}:{$setting->key}",
            ItemKind::Answer,
            "{$setting->label}: what did it do?",
            new ItemState($done, $failed, $saw?->label),
            'It should: '.lcfirst($setting->wanted()->label).'.',
            Families::of($this->spec->family)->tryingCaution(),
            $answers,
        );
    }

    /**
     * @param  bool  $isSpared  what was found before it makes the machine unfit to be run once more, only to see how it
     *     was
     */
    private function found(Proof $proof, ?Checked $given, bool $isSpared): StageItem
    {
        $answers = [];
        foreach ($proof->answers->words as $word => $label) {
            $answers[] = new Answer(
                $word,
                $label,
                Checked::draft($proof->key, $word),
                $proof->asksWhy($word)
                    ? AnswerTone::Plain
                    : ($proof->passes($word) ? AnswerTone::Right : AnswerTone::Wrong),
                $proof->asksWhy($word),
                $proof->asksWhy($word) ? 'Why not?' : null,
            );
        }

        return new StageItem(
            "found:{$proof->key}",
            ItemKind::Answer,
            $proof->question,
            new ItemState(
                $given !== null || $isSpared || $this->facts->readings->isChanged(),
                said: match (true) {
                    $given !== null => $proof->answers->words[$given->answer]
                        ?? $given->answer,
                    $isSpared => 'Not tried: it was not fit to be run',
                    default => null,
                },
                stamp: $given?->stamp,
            ),
            caution: $proof->caution,
            answers: $answers,
        );
    }

    private function measure(string $key, MeasureState $state, bool $done, bool $failed, ?string $said): StageItem
    {
        $what = $state->measure->key;

        return new StageItem(
            $key,
            ItemKind::Measure,
            $what->label(),
            new ItemState($done, $failed, $said),
            $what->howTo(),
            $state->measure->caution,
            subject: new ItemSubject(measure: $what),
        );
    }

    private function said(MeasureState $state): ?string
    {
        return $state->found === null ? null : self::figure($state, $state->found->mean).' · '
            .($state->isWhole() || $state->verdict->kind->isOutside()
                ? $state->verdict->sentence.($state->verdict->advice === null ? '' : ". {$state->verdict->advice}")
                : count($state->values)." of {$state->measure->runs}");
    }

    private static function figure(MeasureState $state, float $value): string
    {
        return (string) $state->measure->key->figure($value);
    }

    /** @return list<Proof> */
    private function foundProofs(): array
    {
        return array_values(array_filter(
            $this->spec->proofs($this->run),
            static fn (Proof $proof): bool => $proof->asFound,
        ));
    }
}
