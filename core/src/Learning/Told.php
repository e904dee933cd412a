<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/** A story as one thread would have had it: the sums of what was read, and where it stands. */
final readonly class Told
{
    private function __construct(
        public RegressionSums $sums,
        /** Slack given so far, in mm of conduit, what was lost left out. */
        public float $slack,
        /** +1 where slack was given last, −1 where it was taken away, 0 where nothing was moved yet. */
        public float $way,
        /** @var list<array{float, float}> slack and way where it was read taut */
        public array $taut,
        public LostMotion $thread,
        /**
         * By how many sides a first move would shift it: 0 none, 1 from between, 2 from the other; null where one was
         * made.
         */
        private ?float $firstShift,
    ) {}

    /** @param  float|null  $firstShift  null where the first move is known */
    public static function asFound(float $slack, float $way, LostMotion $thread, ?float $firstShift): self
    {
        return new self(RegressionSums::none(), $slack, $way, [], $thread, $firstShift);
    }

    /** As a thread without lost motion has it, on a machine where the side is of no matter. */
    public static function plainly(RegressionSums $sums, float $slack, float $way): self
    {
        return new self($sums, $slack, $way, [], LostMotion::none(), null);
    }

    public function turned(float $slack): self
    {
        return new self(
            $this->sums,
            $this->slack + $this->thread->gives($slack, null),
            (float) ($slack <=> 0.0),
            $this->taut,
            $this->thread->turned($slack),
            null,
        );
    }

    public function shifted(float $slack, float $variance): self
    {
        return new self(
            $this->sums->loosened($variance),
            $this->slack + $slack,
            $this->way,
            $this->taut,
            $this->thread,
            $this->firstShift,
        );
    }

    public function read(float $play, float $weight): self
    {
        return new self(
            $this->sums->with($this->slack, $play, $this->way, $weight),
            $this->slack,
            $this->way,
            $this->taut,
            $this->thread,
            $this->firstShift,
        );
    }

    public function readTaut(): self
    {
        return new self(
            $this->sums,
            $this->slack,
            $this->way,
            [...$this->taut, [$this->slack, $this->way]],
            $this->thread,
            $this->firstShift,
        );
    }

    /** Slack between the middle of what was read and where a turn would bring it, in mm. */
    public function reach(float $shift, ?float $way): float
    {
        return $this->slack + $this->thread->gives($shift, $way) - $this->sums->meanX;
    }

    /** The side that a turn would come from, against the middle of those that were read. */
    public function side(float $shift, ?float $way): float
    {
        $to = $way ?? ($shift === 0.0 ? $this->way : (float) ($shift <=> 0.0));

        return $this->firstShift === null ? $to - $this->sums->meanD : $this->firstShift * $to;
    }
}
