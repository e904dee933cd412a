<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Measurement\Sweep;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\SpecBand;

/** What the facts say about the spec. */
final readonly class Judgement
{
    public ?ReadingGroup $foundGroup;

    public Verdict $found;

    public ?ReadingGroup $nowGroup;

    public Verdict $now;

    /** Whether the poses read lie further apart than the band is wide, which no setting puts right. */
    public bool $isRoutingFault;

    /**
     * The pose by whose single reading they do so, which is taken once more before anything is blamed; null where none
     * is.
     */
    public ?Pose $poseInDoubt;

    /**
     * The band straight must keep for all poses, with an allowance for those nobody read: what is planned for; null
     * where no play is read.
     */
    public ?SpecBand $plannedBand;

    /**
     * @param  SpecBand|null  $band  what the spec has for play; null where no play is read
     * @param  array<string, Verdict>  $poses  how the control stands in each pose of the spec, as last read
     * @param  array<string, ReadingGroup>  $poseGroups  the groups those verdicts are on
     * @param  list<GateState>  $gates
     */
    public function __construct(
        Judged $found,
        Judged $now,
        public Sweep $sweep,
        ?SpecBand $band,
        public array $poses,
        public array $poseGroups,
        public array $gates,
        /** @var list<MeasureState> what is measured beside the play */
        public array $measures,
        /** What it does at each of its settings; null where it has none that are tried. */
        public ?TableState $table,
    ) {
        [
            $this->foundGroup,
            $this->found,
            $this->nowGroup,
            $this->now,
        ] = [$found->group, $found->verdict, $now->group, $now->verdict];
        $this->isRoutingFault = $band !== null && $sweep->isWiderThan($band);
        $this->poseInDoubt = $band === null ? null : Pose::tryFrom($sweep->readOnce($band) ?? '');
        $this->plannedBand = $band === null ? null : $sweep->plannedBand($band);
    }

    /** What is measured under this key; null where nothing is. */
    public function measure(MeasureKey $key): ?MeasureState
    {
        foreach ($this->measures as $one) {
            if ($one->measure->key === $key) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<GateState> what failed with the machine at rest, so that it is not run */
    public function stopsRunning(): array
    {
        return $this->atRest(GateStatus::Failed);
    }

    /** @return list<GateState> what is tried with the machine at rest, and was not yet, or not since it was changed */
    public function untriedAtRest(): array
    {
        return $this->atRest(GateStatus::Unknown);
    }

    /** @return list<GateState> */
    private function atRest(GateStatus $status): array
    {
        return array_values(array_filter(
            $this->gatesThat($status),
            static fn (GateState $one): bool => $one->gate->isAtRest,
        ));
    }

    /** @return list<GateState> */
    public function gatesThat(GateStatus $status): array
    {
        return array_values(array_filter($this->gates, static fn (GateState $gate): bool => $gate->status === $status));
    }

    /**
     * A pose that stands apart or outside by one reading alone: it is read once more before anything is turned or
     * blamed for it; null where none does.
     */
    public function poseToReadAgain(): ?Pose
    {
        foreach ($this->poses as $pose => $verdict) {
            if (
                $pose !== Pose::Straight->value
                && $verdict->kind->isOutside()
                && ($this->poseGroups[$pose]->found->count ?? 0) < 2
            ) {
                return Pose::from($pose);
            }
        }

        return $this->poseInDoubt;
    }

    /** @return list<MeasureState> what was measured outside and is put right by hand */
    public function toBePutRight(): array
    {
        return array_values(array_filter(
            $this->measures,
            static fn (MeasureState $one): bool => $one->isToBePutRight(),
        ));
    }

    /**
     * Of the poses other than straight, one that stands at the edge where no reading tells, while none is known to be
     * outside; null where none does.
     */
    public function poseAtTheEdge(): ?Pose
    {
        $stuck = null;
        foreach ($this->poses as $pose => $verdict) {
            if ($verdict->kind->isOutside()) {
                return null;
            }
            $stuck ??= $pose !== Pose::Straight->value && $verdict->isStuckAtTheEdge() ? Pose::from($pose) : null;
        }

        return $stuck;
    }

    /**
     * Whether any pose read since the last move is outside; of those other than straight, by which it is set, also
     * whether one stands at the edge where no reading tells.
     */
    public function isOutsideInAPose(): bool
    {
        foreach ($this->poses as $pose => $verdict) {
            if ($verdict->kind->isOutside() || ($pose !== Pose::Straight->value && $verdict->isStuckAtTheEdge())) {
                return true;
            }
        }

        return false;
    }
}
