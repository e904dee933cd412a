<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Judging\EngagementState;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\WindowState;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Log\Log;
use VividPull\Core\Planning\Advice;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Planning\GovernorAdvice;
use VividPull\Core\Planning\PlanOutcome;
use VividPull\Core\Procedure\ToldSymptom;
use VividPull\Core\Progress\Progress;
use VividPull\Core\Progress\WrongState;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Spec;

/** Everything there is to know about a job at one moment. Derived from its log, never stored. */
final class BenchState
{
    public readonly Spec $spec;

    public readonly Run $run;

    public readonly Facts $facts;

    public readonly Judgement $judgement;

    public readonly Advice $advice;

    /** The second cable, looked at by itself; null where there is none. */
    public readonly ?self $second;

    private ?PlanOutcome $next = null;

    public function __construct(
        public readonly CableState $cable,
        public readonly Log $log,
        public readonly Progress $progress,
        ?CableState $second,
    ) {
        [$this->spec, $this->run, $this->facts] = [$cable->spec, $cable->run, $cable->facts];
        [$this->judgement, $this->advice] = [$cable->judgement, $cable->advice];
        $this->second = $second === null ? null : new self($second, $log, $progress, null);
    }

    /** @return list<self> each cable looked at by itself */
    public function cables(): array
    {
        return $this->second === null ? [$this] : [$this, $this->second];
    }

    /** The cable whose play is read there; the first where no other is. */
    public function readAt(ReadingPoint $point): self
    {
        return $this->second?->cable->point() === $point ? $this->second : $this;
    }

    /** What was learned of this cable. */
    public function beliefs(): Beliefs
    {
        return $this->cable->beliefs();
    }

    /** What to do next: the plan that is under way, and else what is advised by what stands now. */
    public function next(): PlanOutcome
    {
        return $this->next ??= PlanUnderWay::of($this) ?? $this->advice->outcome();
    }

    /** That it stands otherwise than its figure is for, where it is to be read; null where it does not. */
    public function wrongState(): ?string
    {
        return WrongState::say($this->spec, $this->facts, $this->progress);
    }

    /**
     * @return list<string> why nobody runs it while this job is open: what failed, and what was told of it and is not
     *     proved to be gone
     */
    public function unfit(): array
    {
        return [
            ...array_map(
                static fn (GateState $one): string => $one->sentence,
                $this->judgement->gatesThat(GateStatus::Failed),
            ),
            ...array_map(
                static fn (ToldSymptom $one): string => "{$one->said()}.",
                $this->facts->dangersTold($this->spec),
            ),
        ];
    }

    /** The governor's nut; null where there is no governor, or no limit to hold it against. */
    public function governor(): ?GovernorAdvice
    {
        return GovernorAdvice::of($this->spec, $this->run, $this->facts, $this->judgement, $this->second?->judgement);
    }

    /** Where a drive begins and is full; null where its spec says nothing of that. */
    public function engagement(): ?EngagementState
    {
        return EngagementState::of($this->spec, $this->facts, $this->judgement);
    }

    /** The slack that opens fully and closes; null where the spec has no such window. */
    public function window(): ?WindowState
    {
        return WindowState::of(
            $this->spec,
            $this->facts,
            $this->beliefs(),
            $this->judgement,
            $this->second?->judgement,
        );
    }

    /** Nobody knows where it stood, but every turn of it was counted: so many back. */
    private function turnedBack(string $id): ?Steps
    {
        $back = Steps::none();
        foreach ($this->facts->readings->moves as $move) {
            if ($move->entry->adjuster !== $id) {
                continue;
            }
            if ($move->entry->steps === null) {
                return null;
            }
            $back = $back->minus($move->entry->steps);
        }

        return $back;
    }

    /**
     * @return array<string, Steps|null> what brings each touched adjuster back to where it was found; null where
     *     unknown
     */
    public function wayHome(): array
    {
        $way = [];
        foreach (array_keys($this->facts->adjusters->touched) as $id) {
            $home = $this->facts->adjusters->homeOf($id);
            $now = $this->facts->adjusters->at($id);
            $way[$id] = $home === null || $now === null ? $this->turnedBack($id) : $home->minus($now);
        }

        return $way;
    }
}
