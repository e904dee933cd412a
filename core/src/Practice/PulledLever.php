<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Trace\Branch;
use VividPull\Core\Trace\PullTrace;

/**
 * A clutch lever with known breaks, pulled over a force gauge: free play, the return spring with its preload, the
 * take-up of the clutch springs through a cable that gives, the springs, the stop. With its arm on the wrong spline the
 * springs are never reached. It knows nothing of how a trace is read.
 */
final readonly class PulledLever
{
    /**
     * @param  non-empty-list<array{float, float}>  $breaks  travel in mm and force in N at each, without friction of
     *     the way back
     * @param  float  $efficiency  the share of the pull that arrives at the far end
     * @param  float  $noise  of the gauge, standard deviation in N
     */
    private function __construct(
        public array $breaks,
        public float $playMm,
        public float $efficiency,
        public float $noise,
    ) {}

    public static function drawn(Chance $chance, bool $isOnWrongSpline = false): self
    {
        $play = $chance->between(2.0, 20.0);
        $give = $chance->between(4.0, 9.0);
        $breaks = [[0.0, $chance->between(0.3, 3.0)]];
        $add = static function (float $mm, float $newtons) use (&$breaks): void {
            [$travel, $force] = $breaks[count($breaks) - 1];
            $breaks[] = [$travel + $mm, $force + $newtons];
        };
        $add($play, $play * $chance->between(0.0, 0.12));
        $preload = $chance->between(2.0, 6.0);
        $add($preload / $give, $preload);
        $spring = $chance->between(0.05, 0.2);
        $reach = $chance->between(45.0, 70.0);
        if (! $isOnWrongSpline) {
            $idle = $chance->between(1.5, 8.0);
            $add($idle, $idle * $spring);
            $clamp = $chance->between(12.0, 60.0);
            $add($clamp / $give, $clamp);
            $spring = $chance->between(-0.05, 1.4);
        }
        $left = max(8.0, $reach - $breaks[count($breaks) - 1][0]);
        $add($left, $left * $spring);
        $stop = $chance->between(1.0, 4.0);
        $add($stop, $stop * $chance->between(15.0, 40.0));

        return new self($breaks, $play, $chance->between(0.74, 0.95), $chance->between(0.05, 0.6));
    }

    /** A lever as most are, with this play and a run that lets this share of the pull through. */
    public static function usual(float $playMm, float $efficiency): self
    {
        $share = 0.8 / $efficiency;
        $breaks = [[0.0, 1.1]];
        foreach ([[$playMm, 0.5], [0.6, 3.6], [3.6, 0.5], [6.2, 34.0], [34.0, 22.0], [2.5, 60.0]] as [$mm, $newtons]) {
            [$travel, $force] = $breaks[count($breaks) - 1];
            $breaks[] = [$travel + $mm, $force + $newtons * $share];
        }

        return new self($breaks, $playMm, $efficiency, 0.45);
    }

    /** @param  int  $each  points each way */
    public function pulled(Chance $chance, int $each): PullTrace
    {
        $reach = $this->breaks[count($this->breaks) - 1][0];
        [$travel, $pull, $back] = [[], [], []];
        for ($place = 0; $place < $each; $place++) {
            $mm = $reach * $place / ($each - 1);
            $travel[] = $mm;
            $force = $this->force($mm);
            $pull[] = $force + $this->noise * $chance->normal();
            $back[] = $force * $this->efficiency ** 2 + $this->noise * $chance->normal();
        }

        return PullTrace::of(Branch::of($travel, $pull), Branch::of(array_reverse($travel), array_reverse($back)));
    }

    /**
     * What a steady hand feels, without the gauge's own noise.
     *
     * @param  float  $share  how far the hand has come: 0 at rest, 1 as far as it goes, 2 back at rest
     * @return float in N
     */
    public function forceAt(float $share): float
    {
        $reach = $this->breaks[count($this->breaks) - 1][0];

        return $share <= 1.0
            ? $this->force($reach * $share)
            : $this->force($reach * max(0.0, 2.0 - $share)) * $this->efficiency ** 2;
    }

    private function force(float $mm): float
    {
        [$place, $last] = [1, count($this->breaks) - 1];
        while ($place < $last && $mm > $this->breaks[$place][0]) {
            $place++;
        }
        [[$from, $low], [$to, $high]] = [$this->breaks[$place - 1], $this->breaks[$place]];

        return $low + ($high - $low) * ($mm - $from) / ($to - $from);
    }
}
