<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

/**
 * The day in the order in which it is best done: by readiness, then by due date, with controls of one machine that
 * share a cover next to each other, then the shorter first. Covers off already are not taken off again.
 *
 * Jobs go, in that order, to whoever has the most time left; one that nobody's time holds is left out and said so, and
 * shorter ones after it may still fit.
 */
final readonly class DayPlan
{
    /** @param  list<Planned>  $jobs  in order */
    private function __construct(public array $jobs) {}

    /**
     * @param  list<Waiting>  $waiting
     * @param  array<string, float>  $present  minutes of each person today; empty where nobody said
     */
    public static function of(array $waiting, array $present): self
    {
        usort($waiting, self::compare(...));
        $jobs = [];
        $left = $present;
        $before = null;
        foreach (self::together($waiting) as $one) {
            $shared = $before === null ? [] : $one->sharedWith($before);
            $minutes = max(0.0, $one->minutes - array_sum($shared));
            arsort($left);
            $person = array_key_first($left);
            $fits = $person !== null && $minutes <= $left[$person] + 1e-9;
            if ($fits) {
                $left[$person] -= $minutes;
            }
            $jobs[] = new Planned($one, $minutes, array_keys($shared), $fits ? $person : null);
            $before = $one;
        }

        return new self($jobs);
    }

    public function minutes(): float
    {
        return array_sum(array_map(static fn (Planned $one): float => $one->minutes, $this->jobs));
    }

    private static function compare(Waiting $a, Waiting $b): int
    {
        return [$a->ready->order(), ! $a->isBegun, $a->due ?? '9999-12-31', $a->minutes, $a->key]
            <=> [$b->ready->order(), ! $b->isBegun, $b->due ?? '9999-12-31', $b->minutes, $b->key];
    }

    /**
     * Brings each control that shares a cover with one before it up behind it, so long as both are ready alike.
     *
     * @param  list<Waiting>  $sorted
     * @return list<Waiting>
     */
    private static function together(array $sorted): array
    {
        $order = [];
        while ($sorted !== []) {
            $one = array_shift($sorted);
            $order[] = $one;
            $mates = array_filter(
                $sorted,
                static fn (Waiting $other): bool => $other->ready === $one->ready && $one->sharedWith($other) !== [],
            );
            foreach ($mates as $place => $mate) {
                $order[] = $mate;
                unset($sorted[$place]);
            }
            $sorted = array_values($sorted);
        }

        return $order;
    }
}
