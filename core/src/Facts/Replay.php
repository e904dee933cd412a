<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Pulls;
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
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Spec\SetLike;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Spec;

/** Folds a log into facts: positions, home marks, reading groups, answers. It never judges and never refuses. */
final class Replay
{
    /** @var array<string, Person> */
    private array $joined;

    /** @var array<string, Confirmed> */
    private array $confirmed = [];

    /** @var array<string, Inspected> */
    private array $inspected = [];

    private ?ConditionNoted $condition = null;

    /** @var list<ReadingGroup> */
    private array $groups = [];

    /** @var list<ReadingTaken> readings of the group being gathered */
    private array $gathering = [];

    private bool $gatheringCrossed = false;

    /** @var list<MoveMade> */
    private array $moves = [];

    /** @var list<Noted> */
    private array $notes = [];

    private ?Policy $policy = null;

    private ?SettingMode $mode = null;

    private ?Parking $parking = null;

    private ?SetLike $like = null;

    private ?LeftByChoice $byChoice = null;

    private ?bool $isCheck;

    private ?StandingTag $tag;

    private ?Closed $closed = null;

    private float $slack = 0.0;

    /** Slack given to a second cable, in mm. */
    private float $secondSlack = 0.0;

    /** @var list<ReadingGroup> of a second cable */
    private array $ofSecond = [];

    private readonly ?Pulls $secondPulls;

    private int $series = 0;

    private int $setting = 0;

    private int $movedAt = 0;

    private int $changedAt = 0;

    /** @var array{why: ReadAnew, from: int}|null why it is read anew, and from which setting on */
    private ?array $readAnew = null;

    private int $ratioFrom = 0;

    /** @var list<PartFitted> */
    private array $parts = [];

    private bool $lastMoveCrossed = false;

    /** @var list<SeenTrace> */
    private array $traces = [];

    /** @var list<PutRight> */
    private array $putRight = [];

    /** @var list<PhotoTaken> */
    private array $photos = [];

    /** @var list<PartRefused> */
    private array $refused = [];

    private ?Replacing $replacing = null;

    private ?string $soaking = null;

    /** @var array<string, true> readings that a person stands by, by id */
    private array $upheld = [];

    /** @var array<string, ReadEnough> */
    private array $enough = [];

    private ?RidersWish $wish;

    /** @var list<Symptom> what was said to feel wrong, before the job and since */
    private array $symptoms;

    private readonly UnseenChanges $unseen;

    private readonly Trials $trials;

    private readonly Adjusters $adjusters;

    private function __construct(private readonly Spec $spec, private Run $run, private readonly Log $log)
    {
        $standing = $log->opened->standing;
        $this->tag = $standing->tag;
        $this->wish = $standing->history->wish;
        $this->symptoms = $standing->history->symptoms;
        $this->isCheck = $log->opened->isCheck ? true : null;
        $this->joined = [$log->opened->stamp->by->id => $log->opened->stamp->by];
        $this->unseen = new UnseenChanges($log);
        $this->trials = new Trials($spec, $this->unseen);
        $this->adjusters = new Adjusters($run, $standing, $this->unseen);
        $this->secondPulls = $run->secondPulls();
    }

    public static function facts(Spec $spec, Run $run, Log $log): Facts
    {
        $replay = new self($spec, $run, $log);
        $entries = $log->effective();
        foreach ($entries as $entry) {
            if ($entry instanceof ReadingUpheld) {
                $replay->upheld[$entry->reading] = true;
            }
        }
        foreach ($entries as $entry) {
            $replay->apply($entry);
        }
        $replay->finishGroup();

        return $replay->gathered();
    }

    private function apply(Entry $entry): void
    {
        match (true) {
            $entry instanceof ReadingTaken => $this->read($entry),
            $entry instanceof Moved => $this->move($entry),
            $entry instanceof Confirmed => $this->confirm($entry),
            $entry instanceof AllConfirmed => $this->confirmAll($entry),
            $entry instanceof ThreadNoted => $this->adjusters->note($entry),
            $entry instanceof Checked => $this->check($entry),
            $entry instanceof OutcomeSeen => $this->trials->see($entry, $this->at(), $this->refit()),
            $entry instanceof MeasureTaken => $this->trials->measure($entry, $this->at(), $this->refit()),
            $entry instanceof TraceTaken => $this->traces[] = new SeenTrace($entry, $this->setting),
            $entry instanceof PutRight => $this->putRight($entry),
            $entry instanceof NothingFound => $this->lookInVain($entry),
            $entry instanceof PhotoTaken => $this->photos[] = $entry,
            $entry instanceof SoakBegun => $this->soaking = $entry->stamp->at,
            $entry instanceof PartRefused => $this->refused[] = $entry,
            $entry instanceof ReplacementStep => $this->replace($entry),
            $entry instanceof CablesCompared => $this->replacing = $this->replacing?->compared($entry->sizes),
            $entry instanceof Inspected => $this->inspect($entry),
            $entry instanceof ConditionNoted => $this->stand($entry),
            $entry instanceof CoverMoved => $this->moveCover($entry),
            $entry instanceof PolicyChosen => $this->choose($entry),
            $entry instanceof GuideStepDone => $this->guide($entry),
            $entry instanceof PartFitted => $this->fit($entry),
            $entry instanceof AdjusterFitted => $this->fitAdjuster($entry),
            $entry instanceof HandMeasured => $this->measureHand($entry),
            $entry instanceof LeftByChoice => $this->leaveByChoice($entry),
            $entry instanceof Noted => $this->notes[] = $entry,
            $entry instanceof Joined => $this->joined[$entry->stamp->by->id] = $entry->stamp->by,
            $entry instanceof Complained => $this->complain($entry),
            $entry instanceof Tagged => $this->tag = StandingTag::of($entry),
            $entry instanceof Untagged => $this->tag = null,
            $entry instanceof Closed => $this->closed = $entry,
            $entry instanceof ReadEnough => $this->leaveAsItReads($entry),
            // The log itself carries these out, or they only begin it.
            $entry instanceof Opened, $entry instanceof Amended, $entry instanceof ReadingUpheld,
            $entry instanceof Voided => null,
        };
    }

    private function leaveByChoice(LeftByChoice $entry): void
    {
        $this->byChoice = $this->unseen->overtook($entry, UnseenChanges::STANDS) ? null : $entry;
    }

    private function leaveAsItReads(ReadEnough $entry): void
    {
        if (! $this->unseen->overtook($entry, UnseenChanges::STANDS, UnseenChanges::LOCKED)) {
            $this->enough += [ReadEnough::place($entry->point, $entry->pose) => $entry];
        }
    }

    private function stand(ConditionNoted $noted): void
    {
        $this->condition = $noted->after($this->condition);
        if ($noted->engine !== null) {
            $this->trials->heatIsSaid();
        }
    }

    private function read(ReadingTaken $reading): void
    {
        $crossed = $this->unseen->before($reading, UnseenChanges::STANDS, UnseenChanges::LOCKED) !== null;
        $last = $this->gathering[0] ?? null;
        if ($last !== null && (! $reading->repeats($last, $this->spec) || $crossed !== $this->gatheringCrossed)) {
            $this->finishGroup();
        }
        $this->gatheringCrossed = $crossed;
        $this->gathering[] = $reading;
    }

    private function finishGroup(): void
    {
        if ($this->gathering === []) {
            return;
        }
        $isOfSecond = $this->secondPulls !== null && $this->gathering[0]->point === $this->secondPulls->point();
        $group = ReadingGroup::of(
            $this->gathering,
            $this->log->opened->standing,
            new ReadAt(
                $isOfSecond ? $this->secondSlack : $this->slack,
                $this->series,
                $this->setting,
                count($this->moves),
                $this->gatheringCrossed,
            ),
            $this->upheld,
            Doubt::beyond($this->gathering, $this->run, $this->upheld),
        );
        if ($isOfSecond) {
            $this->ofSecond = $this->withGroup($this->ofSecond, $group);
        } else {
            $this->groups = $this->withGroup($this->groups, $group);
        }
        $this->gathering = [];
    }

    /**
     * Where the same was read before with nothing moved since, it goes on with those readings: who looked at another
     * pose in between need not begin anew. What jumped is asked about, and stays by itself.
     *
     * @param  list<ReadingGroup>  $before
     * @return list<ReadingGroup>
     */
    private function withGroup(array $before, ReadingGroup $group): array
    {
        for (
            $place = count($before) - 1;
            $place >= 0 && $before[$place]->at->setting === $group->at->setting && $group->doubt === null;
            $place--
        ) {
            $earlier = $before[$place];
            if ($earlier->doubt !== null || ! $earlier->isComparableTo($group, $this->spec)) {
                continue;
            }
            $jump = Doubt::jumped($earlier, $group, $this->upheld);
            if ($jump !== null) {
                return [...$before, $group->doubted($jump)];
            }
            if (! $group->first()->repeats($earlier->first(), $this->spec)) {
                break;
            }
            array_splice($before, $place, 1);

            return [
                ...$before,
                ReadingGroup::of(
                    [...$earlier->readings, ...$group->readings],
                    $this->log->opened->standing,
                    $group->at,
                    $this->upheld,
                ),
            ];
        }

        return [...$before, $group];
    }

    private function move(Moved $move): void
    {
        $adjuster = $this->run->adjuster($move->adjuster);
        if ($adjuster === null) {
            return;
        }
        $this->finishGroup();
        $made = $this->adjusters->move($move, $adjuster);
        $this->moves[] = $made;
        $this->lastMoveCrossed = $made->crossed;
        if ($adjuster->kind()->sets() === AdjustedQuantity::Speed) {
            // It moves no cable: what was read and tried of them stands, only the speed is measured anew.
            $this->trials->measureAgain(MeasureKey::GroundSpeed);
            $this->openAgain();
            $this->unseen->note(UnseenChanges::SPEED, $move);

            return;
        }
        if ($move->steps === null || $made->crossed || $adjuster->kind()->sets() !== AdjustedQuantity::Play) {
            $this->series++;
        }
        $given = $move->steps === null ? 0.0 : $adjuster->slackGiven($move->steps);
        if ($this->run->cableOf($move->adjuster)?->pulls->isSecond() === true) {
            $this->secondSlack += $given;
        } else {
            $this->slack += $given;
        }
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
            $isAfterWork = in_array($step->key, Refit::keys($this->spec), true);
            if (
                ! $isAfterWork
                || ! $this->unseen->overtook($step, UnseenChanges::STANDS, UnseenChanges::SPEED, UnseenChanges::OPEN)
            ) {
                $this->confirmed[$step->key] = $step;
            }

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
        $this->enough = [];
        $this->setting++;
    }

    private function check(Checked $check): void
    {
        $proofs = array_filter(
            [...$this->spec->proofs($this->run), ...SymptomProofs::of($this->symptoms)],
            static fn (Proof $one): bool => $one->key === $check->key,
        );
        $this->trials->check($check, array_shift($proofs), $this->at(), $this->refit());
    }

    private function at(): Moment
    {
        return new Moment($this->slack, count($this->moves), $this->series, $this->setting);
    }

    private function refit(): Refit
    {
        return new Refit($this->spec, $this->run, $this->adjusters->coversOff(), $this->confirmed);
    }

    /** What was called gone before and is felt again is asked again. */
    private function complain(Complained $complaint): void
    {
        foreach ($complaint->symptoms as $symptom) {
            $this->symptoms[] = $symptom;
            $this->trials->tryAgain(SymptomProofs::key($symptom));
            $this->unseen->note(Trials::failing(SymptomProofs::key($symptom)), $complaint);
        }
    }

    private function putRight(PutRight $done): void
    {
        $this->finishGroup();
        $this->putRight[] = $done;
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
            $this->ratioFrom = $this->series;
        }
    }

    private function readAnew(Entry $by, ReadAnew $why): void
    {
        $this->change($by);
        $this->readAnew = ['why' => $why, 'from' => $this->setting];
    }

    /** With the cable off, nothing read before compares with what comes after. */
    private function replace(ReplacementStep $step): void
    {
        if ($step->key === Replacement::BEGIN && $step->reason !== null) {
            $this->finishGroup();
            $this->replacing = Replacing::begun(
                $step->reason,
                $step->cable,
                Families::of($this->spec->family)->replacing(),
            );
        } else {
            $this->replacing = $this->replacing?->withStepDone($step->key, $step->isHere);
            // Of a pair an older log does not say which cable it is.
            if (
                $step->key === Replacement::SLACK
                && $step->isHere
                && ($this->replacing?->cable !== null || $this->secondPulls === null)
            ) {
                $this->adjusters->giveAllSlack($this->run, $step, $this->replacing?->cable);
            }
            if ($step->isHere && $step->key !== Replacement::NOTE) {
                // Whether or not a new cable follows: this one was off, or is slack.
                $this->finishGroup();
                $this->change($step);
            }
        }
    }

    /** Aiming in the band by a policy and aiming like another machine stand in each other's place. */
    private function choose(PolicyChosen $chosen): void
    {
        if ($chosen->policy !== null || $chosen->like !== null) {
            [$this->policy, $this->like] = [$chosen->policy ?? $this->policy, $chosen->like];
        }
        if ($chosen->wish !== null) {
            // What is wished is aimed for at once.
            [$this->wish, $this->policy, $this->like] = [$chosen->wish->isNone() ? null : $chosen->wish, null, null];
        }
        $this->mode = $chosen->mode ?? $this->mode;
        $this->parking = $chosen->parking ?? $this->parking;
        $this->isCheck = $chosen->isWhole && $this->isCheck !== null ? false : $this->isCheck;
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
        $this->parts[] = $fitted;
        $this->run = ChangedRun::after($this->run, $fitted);
        $this->change($fitted);
        $this->ratioFrom = $fitted->part->startsRatioOver() ? $this->series : $this->ratioFrom;
        if ($fitted->part === Part::Cable) {
            // What was seen of the old wire says nothing of the new one.
            $this->inspected = array_diff_key($this->inspected, ['wire' => true, 'conduit' => true]);
            $this->unseen->note('fault:wire', $fitted);
            $this->unseen->note('fault:conduit', $fitted);
            $this->replacing = $this->replacing?->over();
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
        if ($found->finding === Finding::Fault) {
            $this->unseen->note("fault:{$found->key}", $found);
        } elseif ($this->unseen->overtook($found, "fault:{$found->key}")) {
            return;
        }
        $wasFault = ($this->inspected[$found->key] ?? null)?->finding === Finding::Fault;
        $this->inspected[$found->key] = $found;
        if ($wasFault && $found->finding === Finding::Sound && $this->isAnythingTold()) {
            $this->finishGroup();
            $this->change($found);
        }
    }

    /** Whether anything was read, tried, measured, moved or chosen yet. */
    private function isAnythingTold(): bool
    {
        return array_filter([$this->gathering, $this->groups, $this->ofSecond, $this->moves]) !== []
            || $this->byChoice !== null
            || $this->trials->isAnyTold();
    }

    /** What was put back before something was run is off again. */
    private function openAgain(): void
    {
        $this->confirmed = array_diff_key($this->confirmed, array_flip(Refit::keys($this->spec)));
    }

    /** Nothing read or tried before compares with what comes after. */
    private function startAnew(Entry $by): void
    {
        $this->series++;
        $this->proveAnew($by);
    }

    /** It stands otherwise than it did: nothing that was tried or chosen before stands. */
    private function proveAnew(Entry $by): void
    {
        $this->openAgain();
        $this->trials->startOver();
        $this->byChoice = null;
        $this->enough = [];
        $this->movedAt = ++$this->setting;
        $this->unseen->note(UnseenChanges::STANDS, $by);
    }

    /** The same, by something else than an adjuster. */
    private function change(Entry $by): void
    {
        $this->startAnew($by);
        $this->changedAt = $this->setting;
    }

    private function moveCover(CoverMoved $cover): void
    {
        $this->adjusters->moveCover($cover);
        if ($cover->off) {
            $this->openAgain();
        }
    }

    /** @return list<Checked> */
    private function voidedChecks(): array
    {
        $voids = $this->log->voids();

        return array_values(array_filter(
            $this->log->entries,
            static fn (Entry $entry): bool => $entry instanceof Checked && isset($voids[$entry->stamp->id]),
        ));
    }

    private function gathered(): Facts
    {
        $second = $this->secondPulls === null ? null : $this->factsOf($this->ofSecond, $this->secondSlack, null);
        $groups = $this->spec->aim === null
            ? $this->groups
            : ReadingConversion::all($this->spec, $this->run, $this->groups);

        return $this->factsOf($groups, $this->slack, $second);
    }

    /** @param  list<ReadingGroup>  $groups */
    private function factsOf(array $groups, float $slack, ?Facts $second): Facts
    {
        return new Facts(
            $this->log->opened->standing,
            $this->joined,
            $this->adjusters->facts(),
            $this->answerFacts(),
            $this->chosenFacts(),
            $this->readingFacts($groups, $slack),
            $this->tag,
            $this->closed,
            $this->observed(),
            $second,
        );
    }

    private function answerFacts(): AnswerFacts
    {
        return new AnswerFacts(
            $this->confirmed,
            $this->inspected,
            $this->condition,
            $this->trials->checks(),
            $this->voidedChecks(),
            $this->notes,
            $this->parts,
            $this->trials->foundChecks(),
            $this->trials->tried(),
            $this->unseen->overtaken(),
        );
    }

    private function chosenFacts(): ChosenFacts
    {
        return new ChosenFacts(
            $this->policy,
            $this->mode,
            $this->parking,
            $this->like,
            $this->byChoice,
            $this->isCheck,
            $this->wish,
            $this->enough,
        );
    }

    /** @param  list<ReadingGroup>  $groups */
    private function readingFacts(array $groups, float $slack): ReadingFacts
    {
        return new ReadingFacts(
            $groups,
            $this->moves,
            $slack,
            $this->series,
            $this->setting,
            $this->movedAt,
            $this->changedAt,
            $this->ratioFrom,
            $this->lastMoveCrossed,
            $this->trials->ranSince(),
        );
    }

    private function observed(): Observations
    {
        return new Observations(
            $this->trials->outcomes(),
            $this->trials->measures(),
            $this->putRight,
            $this->photos,
            $this->refused,
            $this->replacing,
            $this->soaking,
            array_values(array_unique($this->symptoms, SORT_REGULAR)),
            $this->traces,
            ($this->readAnew['from'] ?? null) === $this->changedAt ? $this->readAnew['why'] : null,
        );
    }
}
