<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Quantity\Steps;

/**
 * One adjuster of a plan found by trying: where it stands, and what the rules say of each place it could be brought to.
 */
final readonly class Tried
{
    /**
     * @param  bool  $driftsIn  whether use takes the play of this control, so that slack must be given later
     * @param  array{int, int}|null  $parking  720ths
     * @param  array{int, int}|null  $within  720ths; the only places allowed
     */
    public function __construct(
        public Adjuster $adjuster,
        private ?Steps $at,
        public bool $open,
        private bool $driftsIn,
        private ?array $parking,
        private ?array $within = null,
        private bool $still = false,
    ) {}

    public function still(): self
    {
        return new self($this->adjuster, $this->at, $this->open, $this->driftsIn, $this->parking, $this->within, true);
    }

    /** @return list<int> 720ths from where it stands */
    public function places(): array
    {
        if ($this->still) {
            return $this->within === null
                || $this->at !== null && $this->at->count >= $this->within[0] && $this->at->count <= $this->within[1]
                ? [0]
                : [];
        }
        $step = $this->adjuster->smallestStep()->count;
        $places = [];
        for ($n = -2000; $n <= 2000; $n++) {
            $count = $n * $step;
            $to = $this->at === null ? null : $this->at->count + $count;
            $allowed = match (true) {
                $to === null => abs($count) <= 720 && $this->within === null,
                $this->within !== null => $to >= $this->within[0] && $to <= $this->within[1],
                default => $count === 0
                    || ($to >= $this->adjuster->travel()->from->count && $to <= $this->adjuster->travel()->to->count),
            };
            if ($allowed) {
                $places[] = $count;
            }
        }

        return $places;
    }

    public function isUnhealthyAfter(int $count): bool
    {
        if ($this->at === null) {
            return $count !== 0;
        }
        $to = $this->at->count + $count;

        return $to < $this->adjuster->healthy()->from->count || $to > $this->adjuster->healthy()->to->count;
    }

    public function lacksReserveAfter(int $count): bool
    {
        $gives = $this->adjuster->slackGiven(Steps::fromCount($count)) > 0;
        if (
            $count === 0
            || $gives !== $this->driftsIn
            || ($this->parking !== null && $this->fromParkingAfter($count) === 0)
        ) {
            return false;
        }
        if ($this->at === null) {
            return true;
        }
        $to = $this->at->count + $count;
        $room = $count > 0 ? $this->adjuster->travel()->to->count - $to : $to - $this->adjuster->travel()->from->count;

        return $room < $this->adjuster->usualReserve()->count;
    }

    public function fromParkingAfter(int $count): int
    {
        if ($this->parking === null) {
            return 0;
        }
        if ($this->at === null) {
            return 720;
        }

        return max(0, $this->parking[0] - $this->at->count - $count, $this->at->count + $count - $this->parking[1]);
    }
}
