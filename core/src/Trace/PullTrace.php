<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

use VividPull\Core\Errors\OutOfRange;

/** Force over travel of one pull and, where it was kept, of the way back. */
final readonly class PullTrace
{
    /** So few points tell where a line breaks: three on each side of it, and two more. */
    public const LEAST_POINTS = 8;

    public const MOST_POINTS = 200_000;

    /** In mm: less is no pull. */
    public const LEAST_REACH = 1.0;

    /** In s: a hand takes longer. */
    public const LEAST_SECONDS = 0.2;

    private function __construct(
        public Branch $pull,
        public ?Branch $release,
        /** Whether its travel is told by time, as of a steady hand. */
        public bool $isSteady = false,
    ) {}

    /**
     * @throws OutOfRange If the pull has fewer points than tell anything, or hardly moves.
     */
    public static function of(Branch $pull, ?Branch $release): self
    {
        $places = count(array_unique($pull->travel));
        if ($places < self::LEAST_POINTS) {
            throw OutOfRange::trace(
                'The pull has points at '.self::times($places, 'place').' of its travel, and a curve is read from '
                    .self::LEAST_POINTS.' at least.',
            );
        }
        if ($pull->reach() < self::LEAST_REACH) {
            throw OutOfRange::trace('The pull moves no further than a millimetre. Is the travel in mm?');
        }
        if (max($pull->force) <= 0.0) {
            throw OutOfRange::trace('No force of the pull is above zero. Turn the gauge round, or take its sign off.');
        }

        return new self(
            $pull,
            $release !== null && count(array_unique($release->travel)) >= self::LEAST_POINTS ? $release : null,
        );
    }

    /**
     * Force over time, of a hand that pulls steadily: each way goes evenly from rest to `$reachMm` and back.
     *
     * @param  Branch  $pull  its travel in s
     * @param  Branch|null  $release  the same
     *
     * @throws OutOfRange If the pull has fewer points than tell anything, or is over at once, or goes nowhere.
     */
    public static function steady(Branch $pull, ?Branch $release, float $reachMm): self
    {
        if ($pull->reach() < self::LEAST_SECONDS || ($release !== null && $release->reach() <= 0.0)) {
            throw OutOfRange::trace('The pull, or the way back, is over at once. Is the time in s?');
        }
        if ($reachMm < self::LEAST_REACH) {
            throw OutOfRange::trace('The pull moves no further than a millimetre.');
        }
        $made = self::of($pull->evenly(0.0, $reachMm), $release?->evenly($reachMm, 0.0));

        return new self($made->pull, $made->release, true);
    }

    /** Where the travel is counted from: the first point, with the control at rest. */
    public function rest(): float
    {
        return $this->pull->travel[0];
    }

    public function points(): int
    {
        return $this->pull->count() + ($this->release?->count() ?? 0);
    }

    private static function times(int $count, string $one): string
    {
        return $count === 1 ? "1 {$one}" : "{$count} {$one}s";
    }
}
