<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
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
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Replacing;
use VividPull\Core\Log\StandingTag;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\LockStep;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\OwnWords;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Procedure\ToldSymptom;
use VividPull\Core\Spec\Spec;

/**
 * A log becomes facts: each entry goes to the fold it belongs to, and what follows from it elsewhere is said here. It
 * never judges and never refuses.
 */
final class Replay
{
    /** @var array<string, Person> */
    private array $joined;

    private ?StandingTag $tag;

    private ?Closed $closed = null;

    private readonly UnseenChanges $unseen;

    private readonly Trials $trials;

    private readonly Adjusters $adjusters;

    private readonly Readings $readings;

    private readonly Answers $answers;

    private readonly Choices $choices;

    private readonly Sightings $sightings;

    /** @param  array<string, true>  $upheld  readings that a person stands by, by id */
    private function __construct(
        private readonly Spec $spec,
        private Run $run,
        private readonly Log $log,
        array $upheld,
    ) {
        $standing = $log->opened->standing;
        $this->tag = $standing->tag;
        $this->joined = [$log->opened->stamp->by->id => $log->opened->stamp->by];
        $this->unseen = new UnseenChanges($log);
        $this->trials = new Trials($spec, $this->unseen);
        $this->adjusters = new Adjusters($run, $standing, $this->unseen);
        $this->readings = new Readings(
            $spec,
            $run->secondPulls()?->point(),
            $log,
            $this->unseen,
            $upheld,
        );
        $this->answers = new Answers($spec, $this->unseen);
        $this->choices = new Choices($log->opened, $this->unseen);
        $this->sightings = new Sightings($standing->history->symptoms);
    }

    public static function facts(Spec $spec, Run $run, Log $log): Facts
    {
        $entries = $log->effective();
        $replay = new self($spec, $run, $log, self::upheld($entries));
        foreach ($entries as $entry) {
            $replay->apply($entry);
        }
        $replay->finishGroup();

        return $replay->gathered();
    }

    /**
     * @param  list<Entry>  $entries
     * @return array<string, true> readings that a person stands by, by id
     */
    private static function upheld(array $entries): array
    {
        $upheld = [];
        foreach ($entries as $entry) {
            if ($entry instanceof ReadingUpheld) {
                $upheld[$entry->reading] = true;
            }
        }

        return $upheld;
    }

    private function apply(Entry $entry): void
    {
        match (true) {
            $entry instanceof ReadingTaken => $this->readings->take($entry, $this->run),
            $entry instanceof Moved => $this->move($entry),
            $entry instanceof Confirmed => $this->confirm($entry),
            $entry instanceof AllConfirmed => $this->confirmAll($entry),
            $entry instanceof ThreadNoted => $this->adjusters->note($entry),
            $entry instanceof Checked => $this->check($entry),
            $entry instanceof OutcomeSeen => $this->trials->see($entry, $this->readings->at(), $this->refit()),
            $entry instanceof MeasureTaken => $this->trials->measure($entry, $this->readings->at(), $this->refit()),
            $entry instanceof TraceTaken => $this->sightings->trace($entry, $this->readings->at()->setting),
            $entry instanceof PutRight => $this->putRight($entry),
            $entry instanceof NothingFound => $this->lookInVain($entry),
            $entry instanceof PhotoTaken => $this->sightings->photo($entry),
            $entry instanceof SoakBegun => $this->sightings->soak($this->log->happenedAt($entry)),
            $entry instanceof PartRefused => $this->sightings->refuse($entry),
            $entry instanceof ReplacementStep => $this->replace($entry),
            $entry instanceof CablesCompared => $this->sightings->compare($entry),
            $entry instanceof Inspected => $this->inspect($entry),
            $entry instanceof ConditionNoted => $this->stand($entry),
            $entry instanceof CoverMoved => $this->moveCover($entry),
            $entry instanceof PolicyChosen => $this->choices->choose($entry),
            $entry instanceof GuideStepDone => $this->guide($entry),
            $entry instanceof PartFitted => $this->fit($entry),
            $entry instanceof AdjusterFitted => $this->fitAdjuster($entry),
            $entry instanceof HandMeasured => $this->measureHand($entry),
            $entry instanceof LeftByChoice => $this->choices->leaveByChoice($entry),
            $entry instanceof Noted => $this->note($entry),
            $entry instanceof Joined => $this->joined[$entry->stamp->by->id] = $entry->stamp->by,
            $entry instanceof Complained => $this->complain($entry),
            $entry instanceof Tagged => $this->tag = StandingTag::of($entry),
            $entry instanceof Untagged => $this->tag = null,
            $entry instanceof Closed => $this->closed = $entry,
            $entry instanceof ReadEnough => $this->choices->leaveAsItReads($entry),
            // The log itself carries these out, or they only begin it.
            $entry instanceof Opened, $entry instanceof Amended, $entry instanceof ReadingUpheld,
            $entry instanceof Voided => null,
        };
    }

    private function stand(ConditionNoted $noted): void
    {
        $this->answers->stand($noted);
        if ($noted->engine !== null) {
            $this->trials->heatIsSaid();
        }
    }

    private function finishGroup(): void
    {
        $this->readings->finish($this->run);
    }

    private function move(Moved $move): void
    {
        $adjuster = $this->run->adjuster($move->adjuster);
        if ($adjuster === null) {
            return;
        }
        $this->finishGroup();
        $this->readings->turned($this->adjusters->move($move, $adjuster));
        if ($adjuster->kind()->sets() === AdjustedQuantity::Speed) {
            // It moves no cable: what was read and tried of them stands, only the speed is measured anew.
            $this->trials->measureAgain(MeasureKey::GroundSpeed);
            $this->answers->openAgain();
            $this->unseen->note(UnseenChanges::SPEED, $move);

            return;
        }
        $this->readings->give($move, $adjuster, $this->run);
        $this->proveAnew($move);
    }

    private function confirmAll(AllConfirmed $all): void
    {
        foreach ($all->each(Families::of($this->spec->family)) as $line) {
            $this->apply($line);
        }
    }

    private function confirm(Confirmed $step): void
    {
        if ($step->key !== LockStep::KEY || $step->adjuster === null) {
            $this->answers->confirm($step);

            return;
        }
        $wasLoose = $this->adjusters->lock($step, $step->adjuster);
        if ($wasLoose === null) {
            return;
        }
        $isGovernor = $this->run->adjuster($step->adjuster)?->kind()->sets() === AdjustedQuantity::Speed;
        if ($wasLoose) {
            // Locking turns what it locks: what was tried before it is tried again.
            $isGovernor ? $this->trials->measureAgain(MeasureKey::GroundSpeed) : $this->trials->startOver();
            $this->unseen->note($isGovernor ? UnseenChanges::SPEED : UnseenChanges::LOCKED, $step);
        }
        if ($isGovernor) {
            return;
        }
        $this->finishGroup();
        $this->choices->lock();
        $this->readings->lock();
    }

    private function check(Checked $check): void
    {
        $proofs = array_filter(
            [...$this->spec->proofs($this->run), ...$this->spec->symptomProofs($this->sightings->told())],
            static fn (Proof $one): bool => $one->key === $check->key,
        );
        $this->trials->check($check, array_shift($proofs), $this->readings->at(), $this->refit());
    }

    private function refit(): Refit
    {
        return new Refit($this->spec, $this->run, $this->adjusters->coversOff(), $this->answers->confirmed());
    }

    /** What was called gone before and is felt again is asked again. */
    private function complain(Complained $complaint): void
    {
        foreach ($complaint->symptoms as $symptom) {
            $this->tell(ToldSymptom::felt($symptom), $complaint);
        }
    }

    private function tell(ToldSymptom $told, Entry $by): void
    {
        $this->sightings->tell($told);
        $this->trials->tryAgain(SymptomProofs::key($told->symptom));
        $this->unseen->note(Trials::failing(SymptomProofs::key($told->symptom)), $by);
    }

    private function note(Noted $note): void
    {
        $this->answers->note($note);
        $this->readOut($note->ownWords(), $note);
    }

    /** What somebody wrote that seems to tell of a danger is asked about before the machine is called fit. */
    private function readOut(string $words, Entry $by): void
    {
        foreach (OwnWords::understood($words, $this->spec->stopping()) as $symptom) {
            $this->tell(ToldSymptom::noted($symptom, $words), $by);
        }
    }

    private function putRight(PutRight $done): void
    {
        $this->finishGroup();
        $this->sightings->putRight($done);
        if ($done->cure === Cure::Freed) {
            $this->adjusters->free();
        }
        $this->change($done);
    }

    private function lookInVain(NothingFound $looked): void
    {
        $this->finishGroup();
        $this->readAnew($looked, ReadAnew::NothingFound);
    }

    /** Where nothing was told yet there is nothing to tell anew. */
    private function measureHand(HandMeasured $measured): void
    {
        $isAnythingTold = $this->isAnythingTold();
        $this->finishGroup();
        $this->run = ChangedRun::after($this->run, $measured);
        if ($isAnythingTold) {
            $this->readAnew($measured, ReadAnew::HandMeasured);
            $this->readings->startRatioOver();
        }
    }

    private function readAnew(Entry $by, ReadAnew $why): void
    {
        $this->change($by);
        $this->sightings->readAnew($why, $this->readings->at()->setting);
    }

    /** With the cable off, nothing read before compares with what comes after. */
    private function replace(ReplacementStep $step): void
    {
        if ($step->key === Replacement::BEGIN && $step->reason !== null) {
            $this->finishGroup();
            $this->sightings->beginReplacing(Replacing::begun(
                $step->reason,
                $step->cable,
                Families::of($this->spec->family)->replacing(),
            ));

            return;
        }
        $this->sightings->replace($step);
        $cable = $this->sightings->replacing()?->cable;
        // Of a pair an older log does not say which cable it is.
        if (
            $step->key === Replacement::SLACK
            && $step->isHere
            && ($cable !== null || $this->run->secondPulls() === null)
        ) {
            $this->adjusters->giveAllSlack($this->run, $step, $cable);
        }
        if ($step->isHere && $step->key !== Replacement::NOTE) {
            // Whether or not a new cable follows: this one was off, or is slack.
            $this->finishGroup();
            $this->change($step);
        }
    }

    /** The mechanism itself is being set: nothing read before compares with what is read after. */
    private function guide(GuideStepDone $step): void
    {
        $adjuster = $this->run->adjuster($step->adjuster);
        if ($adjuster === null) {
            return;
        }
        $this->finishGroup();
        if ($step->key === Guide::SLACK) {
            $this->adjusters->giveAllSlack($this->run, $step);
        }
        $this->adjusters->guide($step, $adjuster);
        $this->startAnew($step);
    }

    private function fit(PartFitted $fitted): void
    {
        $this->finishGroup();
        $this->answers->fit($fitted);
        $this->run = ChangedRun::after($this->run, $fitted);
        $this->change($fitted);
        if ($fitted->part->startsRatioOver()) {
            $this->readings->startRatioOver();
        }
        if ($fitted->part === Part::Cable) {
            $this->answers->forgetTheCable($fitted);
            $this->sightings->endReplacing();
        }
    }

    /** From here on the run is another one: what was there before is forgotten, and nothing compares. */
    private function fitAdjuster(AdjusterFitted $fitted): void
    {
        $this->finishGroup();
        $this->run = ChangedRun::after($this->run, $fitted);
        $this->adjusters->fit($fitted);
        $this->change($fitted);
    }

    /**
     * A fault that was mended after something was read makes another machine of it; one mended before that does not.
     */
    private function inspect(Inspected $found): void
    {
        if ($this->answers->inspect($found) && $this->isAnythingTold()) {
            $this->finishGroup();
            $this->change($found);
        }
        if ($found->finding === Finding::Noted) {
            $this->readOut($found->remark ?? '', $found);
        }
    }

    /** Whether anything was read, tried, measured, moved or chosen yet. */
    private function isAnythingTold(): bool
    {
        return $this->readings->isAnyTold() || $this->choices->isAnyLeft() || $this->trials->isAnyTold();
    }

    private function moveCover(CoverMoved $cover): void
    {
        $this->adjusters->moveCover($cover);
        if ($cover->off) {
            $this->answers->openAgain();
        }
    }

    /** It stands otherwise than it did: nothing that was tried or chosen before stands. */
    private function proveAnew(Entry $by): void
    {
        $this->answers->openAgain();
        $this->trials->startOver();
        $this->choices->standsOtherwise();
        $this->readings->moveOn();
        $this->unseen->note(UnseenChanges::STANDS, $by);
    }

    /** Nothing read or tried before compares with what comes after. */
    private function startAnew(Entry $by): void
    {
        $this->readings->startAnew();
        $this->proveAnew($by);
    }

    /** The same, by something else than an adjuster. */
    private function change(Entry $by): void
    {
        $this->startAnew($by);
        $this->readings->changeHere();
    }

    private function gathered(): Facts
    {
        $ranSince = $this->trials->ranSince();

        return new Facts(
            $this->log->opened->standing,
            $this->joined,
            $this->adjusters->facts(),
            $this->answers->facts($this->trials, $this->log),
            $this->choices->facts(),
            $this->readings->facts($this->run, $ranSince),
            $this->tag,
            $this->closed,
            $this->sightings->facts($this->trials, $this->readings->changedAt()),
            $this->run->secondPulls() === null ? null : $this->readings->factsOfSecond($ranSince),
        );
    }
}
