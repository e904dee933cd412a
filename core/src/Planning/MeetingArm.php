<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Judging\TableState;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;

/**
 * Cables that meet at one arm, where nobody knows how much each of them moves a setting: one cable at a time, the
 * others left where they stand, and what was seen at its places bounds the place that cures everything. Too little seen
 * at one place means further, too much at another means less far; where some setting asks for more and another for
 * less, that cable alone cannot cure it: it goes back, and the next is tried. When each by itself was excluded, the
 * best place seen is kept and the others are tried from there.
 */
final readonly class MeetingArm
{
    /** @param  array<string, Mover>  $movers  by adjuster */
    public function __construct(
        private TableState $state,
        private Run $run,
        private Facts $facts,
        private array $movers,
    ) {}

    /** The next move; null where every place of every cable was excluded. */
    public function next(): ?TableAdvice
    {
        $seen = $this->seen();
        $now = $this->places(count($this->facts->readings->moves));
        for ($bases = [array_fill_keys(array_keys($this->movers), 0)], $n = 0; isset($bases[$n]); $n++) {
            $base = $bases[$n];
            foreach ($this->inTurn($base, $now) as $id) {
                $place = $this->placeOf($id, $base, $seen);
                if ($place !== null) {
                    return $this->towards([$id => $place] + $base, $now, $n > 0);
                }
            }
            $best = self::best($seen, $bases);
            if ($best !== null) {
                $bases[] = $best;
            }
        }

        return null;
    }

    /**
     * Which cable is gone on with: the one that stands away from the base, then the one that cured it last time, then
     * the quickest to reach.
     *
     * @param  array<string, int>  $base
     * @param  array<string, int>  $now
     * @return list<string>
     */
    private function inTurn(array $base, array $now): array
    {
        $ids = array_keys(array_diff_key($this->movers, $this->facts->adjusters->seized));
        usort(
            $ids,
            fn (string $a, string $b): int => [
                $now[$b] !== $base[$b],
                $b === $this->facts->standing->history->cured,
                $this->minutes($a),
            ] <=> [$now[$a] !== $base[$a], $a === $this->facts->standing->history->cured, $this->minutes($b)],
        );

        return $ids;
    }

    private function minutes(string $id): float
    {
        return $this->run->adjuster($id)?->access()->minutes ?? 0.0;
    }

    /**
     * The next place of this cable to try, in counts towards the table's plus from where it was found, the others at
     * the base; null where none is left.
     *
     * @param  array<string, int>  $base
     * @param  list<array{places: array<string, int>, short: int, far: int}>  $seen
     */
    private function placeOf(string $id, array $base, array $seen): ?int
    {
        $adjuster = $this->run->adjuster($id);
        if ($adjuster === null) {
            return null;
        }
        [$low, $high] = [-INF, INF];
        foreach ($seen as $sight) {
            if (array_diff_key($sight['places'], [$id => 0]) === array_diff_key($base, [$id => 0])) {
                $low = $sight['short'] > 0 ? max($low, (float) $sight['places'][$id]) : $low;
                $high = $sight['far'] > 0 ? min($high, (float) $sight['places'][$id]) : $high;
            }
        }
        $small = $adjuster->smallestStep()->count;
        [$least, $most] = $this->room($id, $adjuster);
        // What is left of a thread is seldom whole flats: the last of them is not turned.
        $from = max($low + $small, ceil($least / $small) * $small);
        $to = min($high - $small, floor($most / $small) * $small);
        if ($from > $to) {
            return null;
        }
        $aim = match (true) {
            is_finite($low) && is_finite($high) => ($low + $high) / 2,
            is_finite($low) => $low + $this->mostAtOnce($id, $adjuster),
            is_finite($high) => $high - $this->mostAtOnce($id, $adjuster),
            default => (float) $base[$id],
        };
        $place = (int) round(max($from, min($to, $aim)) / $small) * $small;

        return $place > $low && $place < $high ? $place : null;
    }

    /**
     * @return array{float, float} how far it can go with the thread engaged that must be, in counts towards the table's
     *     plus from where it was found; never further than from one end to the other
     */
    private function room(string $id, Adjuster $adjuster): array
    {
        $home = $this->facts->adjusters->homeOf($id);
        if ($home === null) {
            $whole = (float) $adjuster->safe()->length()->count;

            return [-$whole, $whole];
        }
        $sign = $this->movers[$id]->sign ?? 1;
        $reach = $adjuster->safe()->reaching($home);
        $ends = [$sign * $reach->from->minus($home)->count, $sign * $reach->to->minus($home)->count];

        return [(float) min($ends), (float) max($ends)];
    }

    private function mostAtOnce(string $id, Adjuster $adjuster): int
    {
        $small = $adjuster->smallestStep()->count;
        $most = $this->state->table->mostAtOnce / ($this->movers[$id]->perStep
            ?? 1.0) * $adjuster->counting()->each->count;

        return max($small, (int) floor(min($most, $adjuster->travel()->length()->count) / $small) * $small);
    }

    /**
     * One move on the way to these places: what stands elsewhere goes back first.
     *
     * @param  array<string, int>  $places
     * @param  array<string, int>  $now
     */
    private function towards(array $places, array $now, bool $several): ?TableAdvice
    {
        $wanted = array_key_first($places);
        foreach ([...array_diff(array_keys($places), [$wanted]), $wanted] as $id) {
            $adjuster = $this->run->adjuster((string) $id);
            $by = $places[$id] - $now[$id];
            if ($by === 0 || $adjuster === null || $this->facts->isSeized($adjuster)) {
                continue;
            }
            $most = $this->mostAtOnce((string) $id, $adjuster);
            $by = max(-$most, min($most, $by));
            $steps = Steps::fromCount(($this->movers[$id]->sign ?? 1) * $by);
            $why = match (true) {
                $id !== $wanted => 'Back: it alone does not cure it.',
                $now === array_fill_keys(array_keys($now), 0)
                    && $id === $this->facts->standing->history->cured => 'It cured it last time. Then the whole table again.',
                $several => 'More than one cable is out: the best place so far is kept.',
                default => 'Then the whole table again.',
            };

            return TableAdvice::move(
                ucfirst("{$this->state->table->arm} ".$this->state->table->way((float) $by)),
                ucfirst("{$adjuster->name()}: {$adjuster->say($steps)}. {$why}"),
                (string) $id,
                $steps,
                $by / $adjuster->counting()->each->count * ($this->movers[$id]->perStep ?? 1.0),
                false,
            );
        }

        return null;
    }

    /**
     * Where most settings were right, and no place was gone on from before.
     *
     * @param  list<array{places: array<string, int>, short: int, far: int}>  $seen
     * @param  list<array<string, int>>  $bases
     * @return array<string, int>|null
     */
    private static function best(array $seen, array $bases): ?array
    {
        $best = null;
        foreach ($seen as $sight) {
            if (
                ! in_array($sight['places'], $bases, true)
                && ($best === null || $sight['short'] + $sight['far'] < $best['short'] + $best['far'])
            ) {
                $best = $sight;
            }
        }

        return $best['places'] ?? null;
    }

    /**
     * @return list<array{places: array<string, int>, short: int, far: int}> by where the cables stood: settings that
     *     asked for more, and for less
     */
    private function seen(): array
    {
        $seen = [];
        foreach ($this->facts->observations->outcomes as $one) {
            $setting = $this->state->table->settings[$one->entry->setting] ?? null;
            $saw = $setting?->sees[$one->entry->saw] ?? null;
            if (
                $setting === null
                || $saw === null
                || $saw->provesNothing
                || $one->series !== $this->facts->readings->series
            ) {
                continue;
            }
            $places = $this->places($one->moves);
            $key = implode(' ', $places);
            $seen[$key]['places'] = $places;
            // What is tried again at the same place counts as it was seen last.
            $seen[$key]['saw'][$setting->key] = $saw->key === $setting->wants
                ? 0
                : self::asks($setting, $saw->low, $saw->high);
        }

        return array_values(array_map(static fn (array $one): array => [
            'places' => $one['places'],
            'short' => count(array_filter($one['saw'], static fn (int $way): bool => $way > 0)),
            'far' => count(array_filter($one['saw'], static fn (int $way): bool => $way < 0)),
        ], $seen));
    }

    /** +1 where what was seen asks for more, −1 where it asks for less. */
    private static function asks(OutcomeSetting $setting, ?float $low, ?float $high): int
    {
        return ($high ?? INF) <= ($setting->wanted()->low ?? -INF)
            ? 1
            : (($low ?? -INF) >= ($setting->wanted()->high ?? INF) ? -1 : 0);
    }

    /**
     * @return array<string, int> where each cable stood after so many moves, in counts towards the table's plus from
     *     where it was found
     */
    private function places(int $moves): array
    {
        $places = array_fill_keys(array_keys($this->movers), 0);
        foreach (array_slice($this->facts->readings->moves, 0, $moves) as $move) {
            if (isset($places[$move->entry->adjuster])) {
                $places[$move->entry->adjuster] += ($this->movers[$move->entry->adjuster]->sign
                    ?? 1) * ($move->entry->steps->count ?? 0);
            }
        }

        return $places;
    }
}
