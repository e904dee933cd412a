<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** A cable run from the hand control to the working end: what there is, not how it is set. */
final readonly class Run
{
    /** @var array<string, Adjuster> */
    private array $byId;

    /** @var array<string, Adjuster> */
    private array $play;

    /** @var array<string, Cable> */
    private array $cableById;

    /**
     * @param  list<Cable>  $cables
     * @param  array<string, Adjuster>  $former  by id, those that others took the place of
     * @param  self|null  $opened  the run as it was before any of them was changed; null where none was
     */
    private function __construct(
        public HandControl $hand,
        public array $cables,
        public Couplings $couplings,
        public string $workingEnd,
        private array $former = [],
        private ?self $opened = null,
    ) {
        [$byId, $play, $cableById] = [[], [], []];
        foreach ($cables as $cable) {
            foreach ($cable->adjusters as $adjuster) {
                $byId[$adjuster->id()] = $adjuster;
                $cableById[$adjuster->id()] = $cable;
                if ($adjuster->kind()->sets() === AdjustedQuantity::Play && $cable->pulls === Pulls::Opening) {
                    $play[$adjuster->id()] = $adjuster;
                }
            }
        }
        [$this->byId, $this->play, $this->cableById] = [$byId, $play, $cableById];
    }

    /** @param  list<Cable>  $cables */
    public static function of(HandControl $hand, array $cables, string $workingEnd): self
    {
        return new self($hand, $cables, $hand->couplings(), $workingEnd);
    }

    /**
     * The run with an adjuster fitted on this machine.
     *
     * @param  string  $cable  by id
     * @param  string|null  $inPlaceOf  by id; null where it is one more on its cable
     */
    public function fitted(Adjuster $new, string $cable, ?string $inPlaceOf): self
    {
        $old = $inPlaceOf === null ? null : $this->adjuster($inPlaceOf);
        $cables = array_map(
            static fn (Cable $one): Cable => $one->id === $cable ? $one->fitted($new, $inPlaceOf) : $one,
            $this->cables,
        );

        return new self(
            $this->hand,
            $cables,
            $this->couplings,
            $this->workingEnd,
            ($old === null ? [] : [$old->id() => $old]) + $this->former,
            $this->asOpened(),
        );
    }

    /**
     * The run with the distances of its hand control as they were measured on this machine, or as its model has them.
     */
    public function withHand(HandControl $hand): self
    {
        return new self(
            $hand,
            $this->cables,
            $hand->couplings(),
            $this->workingEnd,
            $this->former,
            $this->asOpened(),
        );
    }

    /** The run as it was when the job was opened. */
    public function asOpened(): self
    {
        return $this->opened ?? $this;
    }

    /** An adjuster that is here, or was before another took its place: to name it in the log. */
    public function everKnown(string $id): ?Adjuster
    {
        return $this->byId[$id] ?? $this->former[$id] ?? null;
    }

    public function adjuster(string $id): ?Adjuster
    {
        return $this->byId[$id] ?? null;
    }

    /** @return array<string, Adjuster> keyed by id, from the hand to the working end */
    public function adjusters(): array
    {
        return $this->byId;
    }

    /**
     * @return array<string, Adjuster> those that set the play; of a push-pull pair, the play of the cable that opens
     */
    public function playAdjusters(): array
    {
        return $this->play;
    }

    /**
     * Slack that the smallest step of any of these gives or takes, in mm of conduit; infinite where there are none.
     *
     * @param  callable(Adjuster): bool  $counts  of those that set play
     */
    public function leastSlack(callable $counts): float
    {
        $steps = array_map(
            static fn (Adjuster $one): float => abs($one->slackGiven($one->smallestStep())),
            array_filter($this->playAdjusters(), $counts),
        );

        return min([INF, ...array_values($steps)]);
    }

    /** What the second cable does, where there are two with plays of their own. */
    public function secondPulls(): ?Pulls
    {
        foreach ($this->cables as $cable) {
            if ($cable->pulls->isSecond()) {
                return $cable->pulls;
            }
        }

        return null;
    }

    /**
     * The second cable as a run of its own: the closing one of a push-pull pair, read backward at the same flange, or
     * the one behind a governor, read at the carburettor; null where there is none.
     */
    public function second(): ?self
    {
        $point = $this->secondPulls()?->point();
        if ($point === null) {
            return null;
        }
        $ratio = $point === ReadingPoint::GripBackward
            ? $this->couplings->at(ReadingPoint::GripFlange)
            : CouplingRatio::of(1.0, Knowledge::Measured);

        return new self(
            $this->hand,
            array_map(
                static fn (Cable $cable): Cable => $cable->alone(),
                array_values(array_filter($this->cables, static fn (Cable $cable): bool => $cable->pulls->isSecond())),
            ),
            Couplings::of($ratio === null ? [] : [$point->value => $ratio]),
            $this->workingEnd,
        );
    }

    /**
     * The adjuster that is easiest to get at, which service leaves in its parking place; the nearest to the hand of
     * several.
     */
    public function inReach(): ?Adjuster
    {
        $easiest = null;
        foreach ($this->playAdjusters() as $adjuster) {
            if ($easiest === null || $adjuster->access()->minutes < $easiest->access()->minutes) {
                $easiest = $adjuster;
            }
        }

        return $easiest;
    }

    public function has(AdjusterKind $kind): bool
    {
        return array_filter($this->byId, static fn (Adjuster $one): bool => $one->kind() === $kind) !== [];
    }

    public function cableOf(string $adjuster): ?Cable
    {
        return $this->cableById[$adjuster] ?? null;
    }

    /** How well the least known step is known; null where every play adjuster is a thread. */
    public function stepKnowledge(): ?Knowledge
    {
        $least = null;
        foreach ($this->playAdjusters() as $adjuster) {
            $knowledge = $adjuster->stepKnowledge();
            $least = $knowledge !== null && ($least === null || $knowledge->spread() > $least->spread())
                ? $knowledge
                : $least;
        }

        return $least;
    }

    /** @return array<string, string> names of the covers in the way of an adjuster, keyed by the adjuster's id */
    public function covers(): array
    {
        return self::coversOver($this->byId);
    }

    /**
     * @return array<string, string> the same, with those over adjusters in whose place others stand now: what was taken
     *     off there is still off
     */
    public function everCovers(): array
    {
        return $this->covers() + self::coversOver($this->former);
    }

    /**
     * @param  array<string, Adjuster>  $adjusters  by id
     * @return array<string, string>
     */
    private static function coversOver(array $adjusters): array
    {
        return array_filter(
            array_map(static fn (Adjuster $a): ?string => $a->access()->cover, $adjusters),
            is_string(...),
        );
    }
}
