<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Trace\Reached;
use VividPull\Core\Trace\TraceReading;
use VividPull\Core\Trace\WorkingEnd;

/** Levers with known breaks, pulled and read: how often the truth lies in what is said of it. */
final readonly class LeverTable
{
    private function __construct(
        public int $levers,
        /** Of those with a play read: the share that holds the truth in its 95 %. */
        public float $held,
        public int $read,
        /** The median half-width, in mm. */
        public float $halfWidth,
        /** Said of each: reached, not reached, not told. */
        public int $yes,
        public int $no,
        public int $untold,
        /** The worst error of the share that arrives. */
        public float $efficiencyOff,
    ) {}

    /** @param  int  $each  points each way */
    public static function of(int $levers, int $each, bool $areOnWrongSpline, int $firstSeed = 1): self
    {
        [$held, $widths, $said, $off] = [
            0,
            [],
            array_fill_keys(array_map(static fn (Reached $one): string => $one->value, Reached::cases()), 0),
            0.0,
        ];
        for ($seed = $firstSeed; $seed < $firstSeed + $levers; $seed++) {
            $chance = new SeededChance($seed);
            $lever = PulledLever::drawn($chance, $areOnWrongSpline);
            $read = TraceReading::of($lever->pulled($chance, $each), WorkingEnd::ClutchSprings);
            $said[$read->reached->value]++;
            $off = $read->loop === null ? $off : max($off, abs($read->loop->efficiency() - $lever->efficiency));
            if ($read->play() !== null) {
                $widths[] = (float) $read->expanded();
                $held += (int) (abs($read->play() - $lever->playMm) <= $read->expanded());
            }
        }
        sort($widths);

        return new self(
            $levers,
            $held / max(1, count($widths)),
            count($widths),
            $widths[intdiv(count($widths), 2)] ?? 0.0,
            $said[Reached::Yes->value],
            $said[Reached::ReturnOnly->value],
            $said[Reached::CannotTell->value],
            $off,
        );
    }
}
