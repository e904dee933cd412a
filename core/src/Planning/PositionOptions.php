<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Quantity\Steps;

/** One adjuster as a plan sees it: the places it could be brought to, and what each of them costs. */
final readonly class PositionOptions
{
    /**
     * @param  list<EqualCostRange>  $ranges  all places, in order, those that cost alike put together
     * @param  float  $slack  mm of conduit given by one step
     */
    private function __construct(
        public Adjuster $adjuster,
        public float $slack,
        public int $step,
        public array $ranges,
    ) {}

    /**
     * @param  StepRange  $room  how far it may be moved either way
     * @param  StepRange|null  $parking  where it is to be left; null where that does not matter
     * @param  StepRange|null  $within  the only places allowed; null for its whole travel
     */
    public static function of(
        Adjuster $adjuster,
        ?Steps $at,
        StepRange $room,
        bool $coverOff,
        DriftAhead $drift,
        ?StepRange $parking,
        ?StepRange $within = null,
    ): self {
        $step = $adjuster->smallestStep()->count;
        $slack = $adjuster->slackGiven($adjuster->smallestStep());
        $minutes = $coverOff ? 0.0 : $adjuster->access()->minutes;
        // Hundreds of places are gone through for one answer: what is the same at all of them is asked once.
        $healthy = $adjuster->healthy();
        $isOutward = $drift->isOutwardFor($adjuster);
        $reserve = $drift->reserveOf($adjuster)->count;
        $all = [];
        foreach (self::places($at, $room, $step, $within) as $n) {
            $to = $at === null ? null : Steps::fromCount($at->count + $n * $step);
            $unparked = $parking === null ? 0 : ($to === null ? Steps::PER_TURN : $parking->away($to));
            // Where the shop parks an adjuster, its reserve is the shop's own choice.
            $isParked = $parking !== null && $unparked === 0;
            $usesReserve = $isOutward ? $n > 0 : $n < 0;
            $left = $to === null ? -1 : self::left($adjuster->travel(), $to, $isOutward);
            $all[] = new EqualCostRange(
                $n,
                $n,
                (int) ($to === null ? $n !== 0 : ! $healthy->contains($to)),
                (int) (! $isParked && $usesReserve && $left < $reserve),
                $unparked,
                $n === 0 ? 0.0 : $minutes,
                (int) ($n !== 0),
            );
        }

        return new self($adjuster, $slack, $step, self::joined($all));
    }

    /** 720ths of a turn that are left from a place to the end of the travel. */
    private static function left(StepRange $travel, Steps $to, bool $isOutward): int
    {
        return $isOutward ? $travel->to->count - $to->count : $to->count - $travel->from->count;
    }

    /**
     * Neighbours that cost alike put together.
     *
     * @param  list<EqualCostRange>  $all  single places, in order
     * @return list<EqualCostRange>
     */
    private static function joined(array $all): array
    {
        $ranges = [];
        foreach ($all as $here) {
            $last = $ranges === [] ? null : $ranges[count($ranges) - 1];
            if ($last !== null && $last->to === $here->from - 1 && $last->costsLike($here)) {
                $ranges[count($ranges) - 1] = $last->upTo($here->to);
            } else {
                $ranges[] = $here;
            }
        }

        return $ranges;
    }

    /** The same adjuster left where it is. */
    public function still(): self
    {
        return new self(
            $this->adjuster,
            $this->slack,
            $this->step,
            array_values(array_filter($this->ranges, static fn (EqualCostRange $one): bool => $one->touched === 0)),
        );
    }

    /** All its places together, whatever they cost. */
    public function whole(): EqualCostRange
    {
        return new EqualCostRange($this->ranges[0]->from, $this->ranges[count($this->ranges) - 1]->to, 0, 0, 0, 0.0, 1);
    }

    /** @return list<int> whole steps, from the furthest in to the furthest out; at most one unit where it is unknown */
    private static function places(?Steps $at, StepRange $room, int $step, ?StepRange $within): array
    {
        if ($within !== null) {
            $from = $at === null ? 1 : (int) ceil($within->from->minus($at)->count / $step);
            $to = $at === null ? 0 : (int) floor($within->to->minus($at)->count / $step);

            return $from <= $to ? range($from, $to) : [];
        }
        $most = $at === null ? intdiv(Steps::PER_TURN, $step) : PHP_INT_MAX;

        return range(-min($most, intdiv(-$room->from->count, $step)), min($most, intdiv($room->to->count, $step)));
    }
}
