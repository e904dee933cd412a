<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;

/**
 * Which way the play was turned, move by move: +1 gives slack, −1 takes it. Two reversals in a row are a bench that
 * swings.
 */
final readonly class Swinging
{
    /** Nobody who is led well turns so often (ours). */
    private const TOO_MANY = 14;

    private const TOO_OFTEN = 2;

    /**
     * @param  list<int>  $ways
     * @param  int  $turns  since readings compare
     * @param  int  $from  place of the first way since then
     */
    private function __construct(private array $ways, private int $turns, private int $from) {}

    /**
     * Turns to and fro that a coarse instrument led to say nothing once a finer one is in hand: only those count that
     * were made by readings as fine as the last one.
     */
    public static function of(Run $run, Facts $facts): self
    {
        $groups = $facts->readings->groups;
        $marks = $groups === [] ? 0.0 : $groups[count($groups) - 1]->instrument->resolution;
        $first = array_filter(
            $groups,
            static fn (ReadingGroup $one): bool => $one->at->series === $facts->readings->series
                && $one->instrument->resolution <= $marks,
        );
        $before = reset($first) === false ? 0 : reset($first)->at->moves;
        $ways = [];
        $from = 0;
        foreach ($facts->readings->moves as $place => $move) {
            $adjuster = $run->playAdjusters()[$move->entry->adjuster] ?? null;
            $given = $adjuster === null || $move->entry->steps === null
                ? 0.0
                : $adjuster->slackGiven($move->entry->steps);
            if ($given !== 0.0) {
                $ways[] = $given > 0.0 ? 1 : -1;
                $from += $place < $before ? 1 : 0;
            }
        }

        return new self($ways, count($facts->readings->moves) - $before, $from);
    }

    /**
     * Reversals one after the other, up to the last move. What was turned before something was put right was another
     * machine.
     */
    public function reversals(): int
    {
        $count = 0;
        $place = count($this->ways) - 1;
        while ($place > $this->from && $this->ways[$place] !== $this->ways[$place - 1]) {
            $count++;
            $place--;
        }

        return $count;
    }

    /** What the turning has come to, where it is not inside. */
    public function said(): string
    {
        return $this->reversals() >= self::TOO_OFTEN
            ? 'Turned to and fro, and not settled.'
            : 'Turned many times, and not settled.';
    }

    /** Whether so many turns since anything was put right have not brought it inside that another would not either. */
    public function isTooLong(): bool
    {
        return $this->turns >= self::TOO_MANY;
    }

    /** Whether a turn this way would go to and fro once too often. */
    public function wouldSwing(float $shift): bool
    {
        $last = $this->ways[count($this->ways) - 1] ?? 0;

        return $this->reversals() >= self::TOO_OFTEN && $last !== 0 && ($shift > 0.0 ? 1 : -1) !== $last;
    }

    public function reverses(float $shift): bool
    {
        $last = $this->ways[count($this->ways) - 1] ?? 0;

        return $last !== 0 && $shift !== 0.0 && ($shift > 0.0 ? 1 : -1) !== $last;
    }
}
