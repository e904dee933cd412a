<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\MoveMade;
use VividPull\Core\Facts\Refit;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\AdjusterFitted;
use VividPull\Core\Log\Entry\AllConfirmed;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\CablesCompared;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Complained;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\GuideStepDone;
use VividPull\Core\Log\Entry\HandMeasured;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\Joined;
use VividPull\Core\Log\Entry\LeftByChoice;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\NothingFound;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Log\Entry\PolicyChosen;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\ReadingUpheld;
use VividPull\Core\Log\Entry\ReplacementStep;
use VividPull\Core\Log\Entry\SoakBegun;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Log\Entry\Untagged;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\Person;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\LockStep;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Procedure\WireDamage;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\ArmLook;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\PackFigures;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Spec\SpecBand;

/** Which entries may stand in a log, and the sentence for those that may not. */
final readonly class Acceptance
{
    /** On one cable, as many as a run may have. */
    private const MOST_ADJUSTERS = 6;

    /** @throws Refused If the author or the moment forbids it, or it speaks of something this control does not have. */
    public static function check(BenchState $state, Entry $entry): void
    {
        self::author($state, $entry);
        match (true) {
            $entry instanceof ReadingTaken => self::checkReading($state, $entry),
            $entry instanceof ReadingUpheld => self::upheld($state, $entry),
            $entry instanceof ReadEnough => self::enough($state, $entry),
            $entry instanceof OutcomeSeen => self::outcome($state, $entry),
            $entry instanceof MeasureTaken => self::measure($state, $entry),
            $entry instanceof TraceTaken => self::trace($state, $entry),
            $entry instanceof ReplacementStep => ReplacingOrder::step($state, $entry),
            $entry instanceof CablesCompared => ReplacingOrder::compared($state),
            $entry instanceof AdjusterFitted => self::adjusterFitted($state, $entry),
            $entry instanceof HandMeasured => MeasuredHand::check($state, $entry),
            $entry instanceof PartFitted => ReplacingOrder::fitted($state, $entry),
            $entry instanceof SoakBegun => self::soak($state),
            $entry instanceof NothingFound => self::nothingFound($state),
            $entry instanceof Moved => self::moved($state, $entry),
            $entry instanceof ThreadNoted => self::threadNoted($state, $entry),
            $entry instanceof CoverMoved => self::cover($state, $entry),
            $entry instanceof GuideStepDone => self::guided($state, $entry),
            $entry instanceof PolicyChosen => self::policy($state, $entry),
            $entry instanceof Confirmed => self::confirmed($state, $entry),
            $entry instanceof AllConfirmed => self::allConfirmed($state, $entry),
            $entry instanceof Inspected => self::inspected($state, $entry),
            $entry instanceof Checked => self::checked($state, $entry),
            $entry instanceof Voided => self::voided($state, $entry),
            $entry instanceof Amended => self::amended($state, $entry),
            $entry instanceof LeftByChoice => self::byChoice($state),
            $entry instanceof Untagged => self::untag($state, $entry),
            $entry instanceof Closed => self::closing($state, $entry),
            // Who may write them is all there is to ask.
            $entry instanceof Complained, $entry instanceof ConditionNoted, $entry instanceof Joined,
            $entry instanceof Noted, $entry instanceof Opened, $entry instanceof PartRefused,
            $entry instanceof PhotoTaken, $entry instanceof PutRight, $entry instanceof Tagged => null,
        };
    }

    /** @throws Refused If the entry would turn an adjuster, then or since, beyond its thread. */
    public static function checkOutcome(BenchState $before, BenchState $after): void
    {
        $beyond = static fn (BenchState $state): array => array_filter(
            $state->facts->readings->moves,
            static fn (MoveMade $move): bool => $move->beyondThread,
        );
        $now = $beyond($after);
        if (count($now) > count($beyond($before))) {
            self::beyondThread($after, array_values($now)[count($now) - 1]);
        }
        foreach ($after->facts->adjusters->threads as $id => $thread) {
            $adjuster = $after->run->adjuster($id);
            $at = $after->facts->adjusters->at($id);
            if (
                $adjuster !== null
                && $thread->position !== null
                && $at !== null
                && ! isset($after->facts->adjusters->touched[$id])
                && ! $adjuster->travel()->contains($at)
            ) {
                self::beyondTravel($adjuster, $at);
            }
        }
    }

    private static function author(BenchState $state, Entry $entry): void
    {
        // Whoever notices that something feels wrong says so, also of a job they are not on.
        self::mayWrite($state, $entry->stamp->by, $entry instanceof Joined || $entry instanceof Complained);
    }

    /**
     * Whether this person may add anything to the job, an entry or a picture.
     *
     * @param  bool  $joins  whether it needs no part in it
     *
     * @throws Refused If it is closed, they only look, or have not joined it.
     */
    public static function mayWrite(BenchState $state, Person $by, bool $joins = false): void
    {
        $closed = $state->facts->closed;
        if ($closed !== null) {
            throw Refused::because(
                "This job was closed by {$closed->stamp->by->name} on ".substr($closed->stamp->at, 0, 10)
                    .'. Start a new job to go on.',
            );
        }
        if (! $by->role->mayLog()) {
            throw Refused::because("{$by->name} may look at jobs but not log in them. Ask a technician.");
        }
        if (! $joins && ! isset($state->facts->joined[$by->id])) {
            throw Refused::because(
                "{$by->name} is not on this job. Join it first, so that the log shows who did what.",
            );
        }
    }

    /**
     * Whether a reading can have been taken on this control, whoever took it and when.
     *
     * @throws Refused If its instrument, point, pose or value is not one that this control knows.
     */
    public static function checkReading(BenchState $state, ReadingTaken $reading): void
    {
        if ($state->spec->aim === null) {
            throw Refused::because('No play is read on this control.');
        }
        $instrument = $state->facts->standing->instrument($reading->instrument);
        if ($instrument === null) {
            throw Refused::because(
                Quoted::text($reading->instrument).' is not an instrument on the shelf. Choose one that is.',
            );
        }
        if ($reading->mm > $instrument->reach) {
            throw Refused::because(
                'Read '.Figure::shortLength($reading->mm).", but the {$instrument->name} reaches "
                    .Figure::shortLength($instrument->reach).'. Type the reading again.',
            );
        }
        if ($reading->mm < 0.0) {
            throw Refused::because(
                'Read '.Figure::shortLength($reading->mm).', but play is never below zero. Type the reading again.',
            );
        }
        if (! $state->spec->conditions->allows($reading->pose)) {
            throw Refused::because(
                "The spec knows no figure for {$reading->pose->label()}. Read it with "
                    .self::poses($state->spec->conditions->poses).'.',
            );
        }
        if (
            $state->readAt($reading->point) === $state
            && $state->run->couplings->at($reading->point) === null
            && $reading->point !== $state->spec->aim->point
        ) {
            throw Refused::because(
                "Play is not read at the {$state->spec->pointName($reading->point)} on this control. Read it at the "
                    .self::points($state).'.',
            );
        }
    }

    /** Stood by is what was asked about, or was left out of a mean. */
    private static function upheld(BenchState $state, ReadingUpheld $upheld): void
    {
        foreach ($state->cables() as $cable) {
            foreach ($cable->facts->readings->groups as $group) {
                foreach ($group->doubt === null ? $group->leftOut : $group->readings as $reading) {
                    if ($reading->stamp->id === $upheld->reading) {
                        return;
                    }
                }
            }
        }
        throw Refused::because('Nothing is asked about that reading: it goes with the others.');
    }

    private static function nothingFound(BenchState $state): void
    {
        $looks = array_filter(
            $state->cables(),
            static fn (BenchState $one): bool => $one->next()->isLookedFor(),
        );
        if ($looks === []) {
            throw Refused::because(
                'The bench names nothing to be looked at now. Write down what you saw as a note, such as: n route is free.',
            );
        }
    }

    private static function enough(BenchState $state, ReadEnough $enough): void
    {
        $verdict = $state->readAt($enough->point)->judgement->poses[$enough->pose->value] ?? null;
        if ($verdict === null || ! $verdict->mayBeLeft()) {
            throw Refused::because($verdict === null ? "The spec knows no figure for {$enough->pose->label()}."
                : ($verdict->is(VerdictKind::Inside)
                    ? 'It is inside the band already.'
                    : "{$verdict->sentence}. Only a reading inside the band that can't be told from its edge is left as it is."));
        }
    }

    private static function outcome(BenchState $state, OutcomeSeen $seen): void
    {
        $table = $state->judgement->table?->table;
        if ($table === null) {
            throw Refused::because('This control has no settings that are tried one by one.');
        }
        if ($seen->setting === $table->armKey() && ArmLook::tryFrom($seen->saw) !== null) {
            if ($state->facts->readings->moves !== []) {
                throw Refused::because('That is a look before anything is moved. Say which way it went with the move.');
            }

            return;
        }
        if ($seen->setting === $table->armKey()) {
            if (! in_array($seen->saw, ['plus', 'minus'], true)) {
                throw Refused::because("The {$table->arm} went {$table->plus} or {$table->minus}: say which.");
            }
            $last = $state->facts->readings->moves[count($state->facts->readings->moves) - 1] ?? null;
            if ($last === null || ! isset($table->movers[$last->entry->adjuster])) {
                throw Refused::because("Nothing was moved yet, so the {$table->arm} went nowhere.");
            }

            return;
        }
        $setting = $table->settings[$seen->setting]
            ?? throw Refused::because(Quoted::text($seen->setting).' is not a setting of this control. It has: '
            .implode(', ', array_map(static fn (OutcomeSetting $one): string => $one->key, $table->settings)).'.');
        if (! isset($setting->sees[$seen->saw])) {
            throw Refused::because(
                Quoted::text($seen->saw)." is not something to be seen at {$setting->label}. Say "
                    .implode(' or ', array_keys($setting->sees)).'.',
            );
        }
    }

    private static function trace(BenchState $state, TraceTaken $taken): void
    {
        if (Families::of($state->spec->family)->workingEnd() === null) {
            throw Refused::because('A curve of the pull tells nothing of this control.');
        }
    }

    private static function measure(BenchState $state, MeasureTaken $taken): void
    {
        if (! MeasuresHere::of($state)->has($taken->key)) {
            throw Refused::because($taken->key->label().' is not measured on this control.');
        }
        if ($taken->value < 0.0 || $taken->value > $taken->key->most()) {
            $figure = static fn (float $value): Figure => Figure::briefly($value, $taken->key->dimension());
            throw Refused::because(
                "Read {$figure($taken->value)}, but ".lcfirst($taken->key->label())
                    ." lies between 0 and {$figure($taken->key->most())}. Type it again.",
            );
        }
        if ($taken->atMm !== null && $taken->key->dimension() !== Dimension::Force) {
            throw Refused::because('Only a force is read at a distance from the pivot.');
        }
        if ($taken->key->isOneOfMany() !== ($taken->of !== null)) {
            throw Refused::because(
                $taken->key->isOneOfMany()
                    ? 'Say which one it is: number the plates and springs as they come out.'
                    : $taken->key->label().' is of the whole control, not of one part of it.',
            );
        }
    }

    private static function soak(BenchState $state): void
    {
        if ($state->spec->other(PackFigures::class) === null) {
            throw Refused::because('This control has no plates on file.');
        }
    }

    private static function adjusterOf(BenchState $state, string $id): Adjuster
    {
        return $state->run->adjuster($id) ?? throw Refused::because(
            Quoted::text($id).' is not an adjuster of this control. It has: '
            .implode(
                ', ',
                array_map(static fn (Adjuster $a): string => $a->name(), array_values($state->run->adjusters())),
            )
                .'.',
        );
    }

    private static function moved(BenchState $state, Moved $move): void
    {
        $adjuster = self::adjusterOf($state, $move->adjuster);
        if ($adjuster->kind()->sets() === AdjustedQuantity::Nothing) {
            throw Refused::because("There is nothing to turn at the {$adjuster->name()}.");
        }
        if (Guide::of($adjuster->kind()) !== []) {
            throw Refused::because(
                "The {$adjuster->name()} is set by its own steps, in their order, not by a count. It asks for: "
                    .lcfirst(($state->facts->guideNext($adjuster) ?? Guide::of($adjuster->kind())[0])->label).'.',
            );
        }
        if ($move->steps !== null && ! $adjuster->counting()->canCount($move->steps)) {
            throw Refused::because("The {$adjuster->name()} moves in whole {$adjuster->counting()->unit->plural()}.");
        }
        $whole = $adjuster->travel()->length();
        if (
            $move->steps !== null
            && $state->facts->adjusters->at($move->adjuster) === null
            && abs($move->steps->count) > $whole->count
        ) {
            $moved = $adjuster->counting()->say(Steps::fromCount(abs($move->steps->count)));
            throw Refused::because(
                "The {$adjuster->name()} goes {$adjuster->counting()->say($whole)} from one end to the other. "
                    ."It cannot have been moved by {$moved}.",
            );
        }
        $guided = $state->facts->guideUnderWay($state->run);
        if ($guided !== null && $move->steps !== null && $adjuster->slackGiven($move->steps) < 0.0) {
            throw Refused::because(
                "The {$guided->name()} is being set: the cable stays slack until its last step is done.",
            );
        }
    }

    private static function threadNoted(BenchState $state, ThreadNoted $thread): void
    {
        $adjuster = self::adjusterOf($state, $thread->adjuster);
        if (in_array($adjuster->kind()->sets(), [AdjustedQuantity::Mechanism, AdjustedQuantity::Nothing], true)) {
            throw Refused::because("The {$adjuster->name()} has no place to measure.");
        }
        if (
            $thread->position !== null
            && ! $adjuster->counting()->unit->turns()
            && ! $adjuster->counting()->canCount($thread->position)
        ) {
            throw Refused::because("The {$adjuster->name()} stands on a whole {$adjuster->counting()->unit->value}.");
        }
    }

    /** The steps of a guided sequence stand in one order only. */
    private static function guided(BenchState $state, GuideStepDone $step): void
    {
        $adjuster = self::adjusterOf($state, $step->adjuster);
        $guide = Guide::of($adjuster->kind());
        if ($guide === []) {
            throw Refused::because("The {$adjuster->name()} is turned, not set by steps.");
        }
        $next = $state->facts->guideNext($adjuster) ?? $guide[0];
        if ($step->key !== $next->key) {
            throw Refused::because("Not yet. The {$adjuster->name()} asks first: ".lcfirst($next->label).'.');
        }
        $other = $state->facts->guideUnderWay($state->run);
        if ($other !== null && $other->id() !== $adjuster->id()) {
            throw Refused::because("Finish the {$other->name()} first.");
        }
    }

    private static function policy(BenchState $state, PolicyChosen $chosen): void
    {
        if ($state->spec->aim === null) {
            throw Refused::because('There is no band to aim in on this control.');
        }
        if ($chosen->isWhole && $state->facts->chosen->isCheck !== true) {
            throw Refused::because('This is a whole job already.');
        }
        if ($chosen->wish !== null) {
            self::wish($state, $chosen->wish, $state->spec->aim->band);
        }
        if ($chosen->like !== null && ! $state->spec->aim->band->contains($chosen->like->mm)) {
            throw Refused::because(
                "{$chosen->like->machine} was left at ".Figure::shortLength($chosen->like->mm)
                    .', which is outside the band of this control. Aim inside it.',
            );
        }
    }

    private static function wish(BenchState $state, RidersWish $wish, SpecBand $band): void
    {
        if ($wish->mm !== null && ! $band->contains($wish->mm)) {
            throw Refused::because(
                'A wish of '.Figure::shortLength($wish->mm)
                    .' lies outside the band of this control. Wish inside it; what is to stay outside is left by choice, with its reason.',
            );
        }
        $tastes = array_filter(
            $state->spec->proofs($state->run),
            static fn (Proof $one): bool => $wish->bite !== null
                && isset($one->answers->words[$wish->bite])
                && $one->answers->isTaste(),
        );
        if ($wish->bite !== null && $tastes === []) {
            throw Refused::because(Quoted::text($wish->bite).' is nothing that can be wished of this control.');
        }
    }

    private static function confirmed(BenchState $state, Confirmed $step): void
    {
        if ($step->key === LockStep::KEY) {
            self::adjusterOf($state, $step->adjuster ?? '');

            return;
        }
        $family = Families::of($state->spec->family);
        $keys = array_map(
            static fn (Step $s): string => $s->key,
            [...$family->makeSafe(), ...$family->refit(), ...$family->closing()],
        );
        self::known($step->key, $keys, 'a step of this job');
    }

    private static function allConfirmed(BenchState $state, AllConfirmed $all): void
    {
        if (! $all->stamp->by->role->mayConfirmTogether()) {
            throw Refused::because("{$all->stamp->by->name} is an apprentice and confirms each line by itself.");
        }
        $lines = $all->each(Families::of($state->spec->family));
        $known = array_map(static fn (Confirmed|Inspected $line): string => $line->key, $lines);
        foreach ($all->keys as $key) {
            self::known($key, $known, 'a line that is confirmed together with others');
            if (in_array(
                ($state->facts->answers->inspected[$key] ?? null)?->finding,
                [Finding::Fault, Finding::Noted],
                true,
            )) {
                throw Refused::because(
                    '“'.($state->progress->item($key)->label ?? $key).'” is not sound. Answer it by itself.',
                );
            }
        }
        if ($all->keys === []) {
            throw Refused::because('No line was named, so none is confirmed.');
        }
    }

    private static function inspected(BenchState $state, Inspected $found): void
    {
        $keys = array_map(static fn (Inspection $i): string => $i->key, $state->spec->inspections());
        self::known($found->key, $keys, 'something to look over on this control');
        $isLeft = $found->finding === Finding::Noted
            && ($state->facts->answers->inspected[$found->key] ?? null)?->finding === Finding::Fault;
        if ($isLeft && trim($found->remark ?? '') === '') {
            throw Refused::because(
                'A fault is left only with a reason. Say why, such as: noted small dent, wire runs free.',
            );
        }
        if ($isLeft && ! Families::of($state->spec->family)->allowsByChoice()) {
            throw Refused::because('On this control a fault is not left by choice. Mend it, or tag the machine.');
        }
    }

    private static function checked(BenchState $state, Checked $check): void
    {
        $proof = $state->facts->proof($check->key, $state->spec, $state->run);
        if ($proof === null) {
            throw Refused::because(Quoted::text($check->key).' is not a proof of this control.');
        }
        if (($check->pose === null) !== ($proof->poses === [])) {
            throw Refused::because($proof->poses === [] ? "“{$proof->question}” is answered once, without a pose."
                : "“{$proof->question}” is answered for one pose: ".self::poses($proof->poses).'.');
        }
        if ($proof->asksWhy($check->answer) && trim($check->remark ?? '') === '') {
            throw Refused::because(
                SymptomProofs::isOne($proof)
                    ? 'Say why, such as: it shows only on a long ride.'
                    : 'Say why it cannot be seen, such as: arm inside its case.',
            );
        }
        if (! isset($proof->answers->words[$check->answer])) {
            throw Refused::because(
                Quoted::text($check->answer)." does not answer “{$proof->question}”. Answer with "
                    .implode(' or ', array_keys($proof->answers->words)).'.',
            );
        }
    }

    /**
     * What runs the machine waits for what failed at rest, and for what was taken off; what went wrong while it ran is
     * kept all the same.
     *
     * @throws Refused If something is not right or not back yet; it is named.
     */
    public static function checkOrder(BenchState $state, Entry $entry): void
    {
        if (RunsTheMachine::wentWrong($state, $entry)) {
            return;
        }
        if (RunsTheMachine::entry($state, $entry)) {
            RunsTheMachine::mustBeSound($state);
        }
        match (true) {
            $entry instanceof Checked => self::proofInOrder($state, $entry),
            $entry instanceof MeasureTaken => self::measureInOrder($state, $entry),
            $entry instanceof Inspected => self::leftInOrder($state, $entry),
            $entry instanceof Voided => self::nothingReadAs($state, $entry->entry, null),
            $entry instanceof Amended => self::amendedInOrder($state, $entry),
            // Between two moves of one adjuster only the covers count; the rest is put back before the last round.
            $entry instanceof OutcomeSeen && RunsTheMachine::entry($state, $entry) => self::refitted(
                $state,
                Running::Refitted,
                true,
            ),
            default => null,
        };
    }

    private static function proofInOrder(BenchState $state, Checked $check): void
    {
        $proof = $state->facts->proof($check->key, $state->spec, $state->run);
        if ($proof !== null) {
            $isFound = isset($state->facts->answers->foundChecks[Facts::checkKey($check->key, $check->pose?->value)]);
            $isAsFound = $proof->asFound && ! $state->facts->readings->isChanged() && ! $isFound;
            self::inOrder($state, $proof->runningFor($check->answer), $isAsFound);
        }
    }

    private static function measureInOrder(BenchState $state, MeasureTaken $taken): void
    {
        $asked = $state->judgement->measure($taken->key);
        if ($asked !== null) {
            $isAsFound = $asked->measure->asFound
                && ! $state->facts->readings->isChanged()
                && ($asked->before->count ?? 0) < $asked->measure->runs;
            self::inOrder($state, $asked->measure->running, $isAsFound);
        }
    }

    /** @throws Refused If it leaves a fault that makes the machine unfit, by choice or as if it were wear. */
    private static function leftInOrder(BenchState $state, Inspected $found): void
    {
        $gate = $state->spec->inspection($found->key)?->gate;
        if (
            $gate !== null
            && $found->finding === Finding::Noted
            && ($state->facts->answers->inspected[$found->key] ?? null)?->finding === Finding::Fault
        ) {
            throw Refused::because(
                'What nobody may use is not left by choice. Replace it, or tag the machine. Where the fault was noted by mistake, take that back.',
            );
        }
        if (
            $gate === GateKey::WireSound
            && $found->finding === Finding::Noted
            && WireDamage::isSaid($found->remark ?? '')
        ) {
            throw Refused::because(
                Quoted::text($found->remark ?? '').' is no wear to be noted: a wire that frays parts. Answer Fault. If it is sound, say what you saw in other words.',
            );
        }
    }

    private static function amendedInOrder(BenchState $state, Amended $amended): void
    {
        if ($amended->becomes instanceof Inspected) {
            self::leftInOrder($state, $amended->becomes);
        }
        self::nothingReadAs($state, $amended->entry, $amended->becomes);
    }

    /**
     * @throws Refused If play was read in the state that was said: nobody knows then in which state those readings were
     *     taken.
     */
    private static function nothingReadAs(BenchState $state, string $id, ?Entry $becomes): void
    {
        $said = $state->log->find($id);
        if (
            ! $said instanceof ConditionNoted
            || ($becomes instanceof ConditionNoted && $becomes->label() === $said->label())
        ) {
            return;
        }
        $count = 0;
        $holds = false;
        foreach ($state->log->effective() as $entry) {
            if ($entry instanceof ConditionNoted) {
                $isAnew = ($said->engine === null || $entry->engine !== null)
                    && ($said->wheels === null || $entry->wheels !== null);
                $holds = $entry->stamp->id === $said->stamp->id || ($holds && ! $isAnew);
            }
            $count += $holds && $entry instanceof ReadingTaken ? 1 : 0;
        }
        if ($count > 0) {
            throw Refused::because(
                ($count === 1 ? 'A reading was' : "{$count} readings were").' taken as '.lcfirst($said->label())
                    .' since. Take '.($count === 1 ? 'it' : 'them')
                    .' back first, then say how it stands, and read again.',
            );
        }
    }

    /** @throws Refused If it runs the machine, and something is to be tried by hand or put back before. */
    private static function inOrder(BenchState $state, Running $running, bool $asFound): void
    {
        if ($running->runs() && ! $asFound) {
            RunsTheMachine::mustBeTried($state);
        }
        self::refitted($state, $running, $asFound);
    }

    /** @throws Refused If anything is still off. */
    private static function refitted(BenchState $state, Running $running, bool $asFound): void
    {
        $open = Refit::of($state->spec, $state->run, $state->facts)->waitsFor($running, $asFound);
        if ($open !== []) {
            throw Refused::missing(
                'This runs the machine. Put back first what was taken off:',
                array_map(ucfirst(...), array_map(static fn (string $one): string => "{$one}.", $open)),
            );
        }
    }

    private static function voided(BenchState $state, Voided $void): void
    {
        $entry = self::target($state, $void->entry);
        if (trim($void->reason) === '') {
            throw Refused::because('Taking an entry back needs a reason, such as: v misread the rule.');
        }
        if (! $entry->kind()->canBeVoided()) {
            throw Refused::because("An entry of the kind {$entry->kind()->value} cannot be taken back.");
        }
        if ($entry instanceof AdjusterFitted && self::isWorkedWith($state, $entry->adjuster->id())) {
            throw Refused::because(
                "The {$entry->adjuster->name()} was turned, read or locked since. Take that back first.",
            );
        }
        if ($entry instanceof AdjusterFitted && $state->run->adjuster($entry->adjuster->id()) === null) {
            throw Refused::because(
                "Another adjuster took the place of the {$entry->adjuster->name()} since. Take that back first.",
            );
        }
    }

    /**
     * Whether anything that stands in the log was done with this adjuster. A cover that was off when it was fitted is
     * nobody's work with it.
     */
    private static function isWorkedWith(BenchState $state, string $id): bool
    {
        foreach ($state->log->effective() as $entry) {
            $of = $entry instanceof Confirmed
                || $entry instanceof CoverMoved
                || $entry instanceof GuideStepDone
                || $entry instanceof Moved
                || $entry instanceof ThreadNoted
                ? $entry->adjuster
                : null;
            if ($of === $id) {
                return true;
            }
        }

        return false;
    }

    private static function adjusterFitted(BenchState $state, AdjusterFitted $fitted): void
    {
        $cable = array_values(array_filter(
            $state->run->cables,
            static fn (Cable $one): bool => $one->id === $fitted->cable,
        ))[0]
            ?? throw Refused::because(Quoted::text($fitted->cable).' is not a cable of this control.');
        $here = array_map(static fn (Adjuster $one): string => $one->id(), $cable->adjusters);
        if ($fitted->inPlaceOf !== null && ! in_array($fitted->inPlaceOf, $here, true)) {
            throw Refused::because(
                Quoted::text($fitted->inPlaceOf)." is not on the {$cable->name}, so nothing can take its place there.",
            );
        }
        if ($state->run->everKnown($fitted->adjuster->id()) !== null) {
            throw Refused::because(
                'An adjuster with the id '.Quoted::text($fitted->adjuster->id())
                    .' is, or was, on this control. Give the new one another.',
            );
        }
        if ($fitted->inPlaceOf === null && count($here) >= self::MOST_ADJUSTERS) {
            throw Refused::because(
                "The {$cable->name} has ".self::MOST_ADJUSTERS
                    .' adjusters already. Say which one it takes the place of.',
            );
        }
        if (isset($state->spec->other(OutcomeTable::class)->movers[$fitted->inPlaceOf ?? ''])) {
            throw Refused::because(
                "The book's table says what the {$state->run->adjuster($fitted->inPlaceOf ?? '')?->name()} does at each setting. Another kind in its place needs its own entry in the spec.",
            );
        }
    }

    private static function amended(BenchState $state, Amended $amend): void
    {
        $entry = self::target($state, $amend->entry);
        if (trim($amend->reason) === '') {
            throw Refused::because('Putting an entry right needs a reason.');
        }
        if (! $entry->kind()->canBeAmended() || $entry->kind() !== $amend->becomes->kind()) {
            throw Refused::because(
                "An entry of the kind {$entry->kind()->value} cannot be put right as {$amend->becomes->kind()->value}. Take it back and log it anew.",
            );
        }
        self::check($state, $amend->becomes);
    }

    private static function target(BenchState $state, string $id): Entry
    {
        $entry = $state->log->find($id);
        if ($entry === null) {
            throw Refused::because('The entry to be changed is not in this job.');
        }
        if (isset($state->log->voids()[$id])) {
            throw Refused::because('That entry was taken back already.');
        }

        return $entry;
    }

    private static function cover(BenchState $state, CoverMoved $moved): void
    {
        if (! $moved->off && isset($state->facts->adjusters->coversOff[$moved->adjuster])) {
            // Also where another adjuster stands in its place by now.
            return;
        }
        $adjuster = self::adjusterOf($state, $moved->adjuster);
        if ($adjuster->access()->cover === null) {
            throw Refused::because("No cover lies over the {$adjuster->name()}, as this control is drawn.");
        }
    }

    private static function byChoice(BenchState $state): void
    {
        if (! Families::of($state->spec->family)->allowsByChoice()) {
            throw Refused::because(
                'This control is never left outside its limits by choice. Set it, or tag the machine.',
            );
        }
    }

    private static function untag(BenchState $state, Untagged $untag): void
    {
        if ($state->facts->tag === null) {
            throw Refused::because('No tag stands on this control.');
        }
        if (! $untag->stamp->by->role->mayLiftTag()) {
            throw Refused::because(
                "Only a lead lifts a tag, and {$untag->stamp->by->name} signs as {$untag->stamp->by->role->value}. Ask a lead to sign.",
            );
        }
        if ($state->log->opened->standing->tag === null) {
            throw Refused::because(
                'A tag hung in this job is lifted by a new job that passes the gate. Close this one as tagged.',
            );
        }
        $open = array_filter(
            $state->judgement->gates,
            static fn (GateState $gate): bool => $gate->status !== GateStatus::Passed,
        );
        if ($open !== []) {
            throw Refused::missing(
                'The tag stays until every gate has passed.',
                array_values(array_map(static fn (GateState $gate): string => $gate->sentence, $open)),
            );
        }
    }

    private static function closing(BenchState $state, Closed $closing): void
    {
        $by = $closing->stamp->by;
        if (! $by->role->maySignOff()) {
            throw Refused::because(
                "{$by->name} signs as {$by->role->value} and cannot sign a job off. Ask a technician or a lead.",
            );
        }
        $missing = $state->progress->blocks($closing->outcome);
        if ($missing !== []) {
            throw Refused::missing(match ($closing->outcome) {
                ClosingOutcome::Fit => 'This cannot be closed as fit for use.',
                ClosingOutcome::ByChoice => 'This cannot be closed as left outside by choice.',
                ClosingOutcome::Tagged => 'This cannot be closed as tagged.',
                ClosingOutcome::Checked => 'This cannot be closed as checked.',
            }, $missing);
        }
    }

    private static function beyondThread(BenchState $after, MoveMade $move): never
    {
        $adjuster = self::adjusterOf($after, $move->entry->adjuster);
        if ($adjuster->kind()->sets() === AdjustedQuantity::Speed && ($move->entry->steps->count ?? 0) < 0) {
            throw Refused::because(
                "The {$adjuster->name()} keeps ".Figure::shortLength($adjuster->showing($adjuster->travel()->from))
                    .' of thread: governed speed is not raised past the maker\'s limit.',
            );
        }
        $stood = $move->stoodAt?->minus($move->entry->steps ?? $move->stoodAt);
        $out = $move->entry->steps !== null && $move->entry->steps->count > 0;
        $room = $stood === null
            ? null
            : ($out ? $adjuster->travel()->to->minus($stood) : $stood->minus($adjuster->travel()->from));
        $end = $adjuster->kind()->isThreaded() ? 'thread' : 'end';
        $whole = $adjuster->travel()->length();
        $has = match (true) {
            $room === null => ' From one end to the other it goes '.$adjuster->counting()->say($whole)
                .', and it was moved that way before.',
            $room->isNone() => $adjuster->kind()->isThreaded()
                ? ' It has no thread left that way.'
                : ' It stands at its end that way.',
            $adjuster->kind()->isThreaded() => ' It has '.$adjuster->counting()->say($room).' ('
                .Figure::shortLength($adjuster->showing($room)).') left that way.',
            default => ' It has '.$adjuster->room($room).' left that way.',
        };
        throw Refused::because(
            "The {$adjuster->name()} cannot go "
                .$adjuster->say($move->entry->steps ?? $move->stoodAt ?? $adjuster->travel()->to)
                .": that is beyond its {$end}.{$has}",
        );
    }

    private static function beyondTravel(Adjuster $adjuster, Steps $at): never
    {
        throw Refused::because($adjuster->kind()->isThreaded()
            ? "The {$adjuster->name()} has ".Figure::shortLength($adjuster->showing($adjuster->travel()->to))
                .' of thread in all, so '.Figure::shortLength($adjuster->showing($at)).' cannot show. Measure it again.'
            : "The {$adjuster->name()} goes from {$adjuster->where($adjuster->travel()->from)} to "
                ."{$adjuster->where($adjuster->travel()->to)}, so it cannot stand on {$adjuster->where($at)}. Look again.");
    }

    /** @param  list<string>  $known */
    private static function known(string $key, array $known, string $what): void
    {
        if (! in_array($key, $known, true)) {
            throw Refused::because(Quoted::text($key)." is not {$what}.");
        }
    }

    /** @param  list<Pose>  $poses */
    private static function poses(array $poses): string
    {
        return implode(', ', array_map(static fn (Pose $pose): string => $pose->label(), $poses));
    }

    private static function points(BenchState $state): string
    {
        return implode(
            ' or ',
            array_map(
                static fn (string $point): string => $state->spec->pointName(ReadingPoint::from($point)),
                array_keys($state->run->couplings->all()),
            ),
        );
    }
}
