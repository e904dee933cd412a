<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Log\Entry\ReadingUpheld;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\ProofEvidence;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;

/** What is asked of the play of one cable: as found, set, read again, in every pose, and of a reading in doubt. */
final readonly class PlayItems
{
    private const WHOLE_GROUP = 3;

    private Spec $spec;

    private Run $run;

    private Facts $facts;

    private Judgement $judgement;

    /** @param  bool  $isAlone  whether nothing else is measured beside the play of this cable */
    public function __construct(private CableState $cable, private bool $isAlone)
    {
        [$this->spec, $this->run, $this->facts] = [$cable->spec, $cable->run, $cable->facts];
        $this->judgement = $cable->judgement;
    }

    public function foundReading(): StageItem
    {
        $point = $this->cable->point();
        $group = $this->judgement->foundGroup;
        $verdict = $this->judgement->found;
        $judged = $group !== null && $group->doubt === null && ! $verdict->is(VerdictKind::NotJudged);

        return new StageItem(
            'reading:found',
            ItemKind::Reading,
            "Reading at the {$this->spec->pointName($point)}, as found",
            // With a move made the chance is gone: the job goes on, and the sheet says that nothing was read before it.
            new ItemState(
                ($judged && $this->isWhole($group)) || $this->facts->readings->isChanged(),
                said: $group === null
                    ? ($this->facts->readings->isChanged() ? 'Not to be had: it was changed before it was read' : null)
                    : Figure::length($group->found->mean).' · '.$verdict->sentence,
                stamp: $group?->last()->stamp,
            ),
            $this->spec->howToRead($point),
        );
    }

    public function inBand(): StageItem
    {
        $now = $this->judgement->now;
        $inside = $now->is(VerdictKind::Inside) && $this->isWhole($this->judgement->nowGroup);
        $finer = $this->cable->isSecond ? null : $this->finer();
        $chosen = $this->facts->chosen->byChoice;
        // A lock voids the reading, not the setting: what is missing then is the reading again, further down.
        $voidedByLock = $now->is(VerdictKind::Unread) && $this->facts->isVoidedByLock();

        return new StageItem(
            'in_band',
            ItemKind::InBand,
            match (true) {
                $finer !== null => 'Set it finer, inside the band',
                $now->is(VerdictKind::Inside) => 'Inside: read it three times',
                default => 'Bring it inside the band',
            },
            new ItemState(
                $finer === null
                    && ($inside || $chosen !== null || $voidedByLock || $this->isLeft(Pose::Straight)),
                said: match (true) {
                    $finer !== null => $finer->said(),
                    $inside => $now->sentence,
                    $this->isLeft(Pose::Straight) => "Left as it reads: {$now->sentence}",
                    $chosen !== null => "Left outside by choice: {$chosen->reason}",
                    $voidedByLock => null,
                    default => $now->sentence,
                },
                stamp: $chosen?->stamp,
            ),
            answers: $this->leaving(Pose::Straight),
        );
    }

    /** @return list<StageItem> after a move, and after a lock of what nobody moved: it turns what it locks */
    public function readAgain(): array
    {
        if ($this->facts->readings->moves === [] && ! $this->facts->isVoidedByLock()) {
            return [];
        }
        [$group, $verdict] = [$this->judgement->nowGroup, $this->judgement->now];
        $read = $this->facts->adjusters->isLocked()
            && $group !== null
            && $group->doubt === null
            && ! $verdict->is(VerdictKind::NotJudged)
            && $this->isWhole($group);

        return [new StageItem(
            'reading:left',
            ItemKind::Reading,
            'Read it again, locked',
            new ItemState($read, said: $read ? Figure::length($group->found->mean).' · '.$verdict->sentence : null),
            $this->spec->howToRead($this->cable->point()),
        )];
    }

    /** @return list<StageItem> */
    public function poses(): array
    {
        $isProvisional = $this->judgement->poseGroups !== [] && $this->isOnStand();
        if ($this->spec->aim === null || (count($this->spec->conditions->poses) < 2 && ! $isProvisional)) {
            return [];
        }
        $point = $this->cable->point();

        // Whether one that stands at the edge is turned is asked of the plan, once for all poses.
        $stuck = array_filter(
            $this->judgement->poses,
            static fn (Verdict $one, string $pose): bool => $pose !== Pose::Straight->value && $one->isStuckAtTheEdge(),
            ARRAY_FILTER_USE_BOTH,
        );
        $stuck = $stuck !== [] && $this->isTurned() ? $stuck : [];

        $again = $this->judgement->poseToReadAgain() ?? $this->straightAgain();

        return array_map(fn (Pose $pose): StageItem => $this->pose(
            $pose,
            $point,
            isset($stuck[$pose->value]),
            $again === $pose,
        ), $this->spec->conditions->poses);
    }

    /**
     * What is to be read again is asked for before anything else, also where it stands inside and another pose is in
     * doubt beside it.
     */
    private function pose(Pose $pose, ReadingPoint $point, bool $isStuck, bool $isAgain): StageItem
    {
        $group = $this->judgement->poseGroups[$pose->value] ?? null;
        $verdict = $this->judgement->poses[$pose->value];
        $inside = $verdict->is(VerdictKind::Inside) || $this->isLeft($pose);
        $then = match (true) {
            $isAgain => '. Read it again: one reading may be misread',
            $verdict->advice === null => '',
            default => ". {$verdict->advice}",
        };

        return new StageItem(
            "pose:{$pose->value}",
            ItemKind::Reading,
            'Reading, '.$pose->label(),
            new ItemState(
                $inside && ! $isAgain,
                ($verdict->kind->isOutside() || $isStuck) && ! $isAgain,
                $group === null ? null : Figure::length($group->found->mean).' · '.$verdict->sentence.$then,
                mayStay: $group !== null,
            ),
            $this->spec->howToRead($point),
            answers: $this->leaving($pose),
            subject: new ItemSubject($pose->value),
        );
    }

    /** @return list<StageItem> what is asked about readings before they count, in the stage in which they were taken */
    public function doubts(JobStage $stage): array
    {
        $items = [];
        foreach ($this->judgement->poseGroups as $pose => $group) {
            $asked = $pose !== Pose::Straight->value
                ? JobStage::Prove
                : ($this->facts->readings->isChanged() ? JobStage::Set : JobStage::AsFound);
            if ($group->doubt === null || $asked !== $stage) {
                continue;
            }
            $id = $group->doubt->reading->stamp->id;
            $items[] = new StageItem(
                "doubt:{$id}",
                ItemKind::Answer,
                $group->doubt->question,
                ItemState::open(),
                'Or read again, and type it: a reading that several others contradict is left out.',
                answers: [
                    new Answer(
                        'misread',
                        'Take it back',
                        Voided::draft($id, 'misread'),
                        AnswerTone::Wrong,
                    ),
                    new Answer('right', 'It is right', ReadingUpheld::draft($id), AnswerTone::Plain),
                ],
                subject: new ItemSubject($pose, $this->cable->isSecond),
            );
        }

        return $items;
    }

    /**
     * What a failed proof asks of a setting that is inside its band, where a step that way stays in it; null where
     * nothing does.
     */
    public function finer(): ?ProofEvidence
    {
        [$now, $band] = [$this->judgement->nowGroup, $this->judgement->plannedBand];
        if (
            $now === null
            || $band === null
            || $this->facts->chosen->byChoice !== null
            || $this->facts->answers->checks === []
            || ! ($this->judgement->now->is(VerdictKind::Inside) || $this->isLeft(Pose::Straight))
        ) {
            return null;
        }
        $evidence = ProofEvidence::of($this->spec, $this->run, $this->facts);
        $point = $this->spec->play()->point;

        return $evidence->failed !== []
            && $evidence->room(
                $now,
                $band,
                ($this->run->couplings->at($point) ?? Families::of($this->spec->family)->usualRatio($point))->value,
            ) !== null
            ? $evidence
            : null;
    }

    /** Whether what was read last of a straight cable was read on a stand, for a figure on its wheels. */
    public function isOnStand(): bool
    {
        $read = $this->judgement->nowGroup?->first();

        return $read !== null && $this->spec->conditions->areProvisional($read->engine, $read->wheels);
    }

    private function isLeft(Pose $pose): bool
    {
        return isset($this->facts->chosen->enough[ReadEnough::place($this->cable->point(), $pose)]);
    }

    /** @return list<Answer> the way on where an instrument can say no more, and play is more likely inside than not */
    private function leaving(Pose $pose): array
    {
        $may = ($this->judgement->poses[$pose->value] ?? null)?->mayBeLeft() === true
            && ($this->judgement->poseGroups[$pose->value]->found->count ?? 0) >= self::WHOLE_GROUP;

        return ! $may || $this->isLeft($pose)
            ? []
            : [new Answer(
                'leave',
                'Leave it as it reads',
                ReadEnough::draft($this->cable->point(), $pose),
            )];
    }

    /**
     * Where another figure is asked for next, play is read three times first: the next reading would be taken for the
     * other's.
     */
    private function isWhole(?ReadingGroup $group): bool
    {
        return $this->isAlone || ($group->found->count ?? 0) >= self::WHOLE_GROUP;
    }

    /**
     * Where a pose is outside and nothing here would reach, by a single reading of the straight one: that one, before
     * anything is blamed.
     */
    private function straightAgain(): ?Pose
    {
        return $this->judgement->isOutsideInAPose() && ($this->judgement->nowGroup->found->count ?? 0) === 1
            ? $this->cable->advice->outcome()->again
            : null;
    }

    /**
     * Whether a pose at the edge, where no reading tells, is brought further in by turning, or is no matter of reading
     * at all.
     */
    private function isTurned(): bool
    {
        $next = $this->cable->advice->outcome();

        return ! in_array($next->kind, [PlanKind::Read, PlanKind::Decide, PlanKind::Prove], true);
    }
}
