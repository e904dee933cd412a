<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use VividPull\Core\Planning\ShiftWindow;
use VividPull\Core\Quantity\Steps;

/**
 * Plans by trying every position of every adjuster, written from the trade's rules and not from the planner: costs are
 * worked out afresh for each place, and nothing is put together or skipped.
 */
final class Tries
{
    public const TOUCH_UP = ['unhealthy', 'bare', 'minutes', 'touched', 'distance', 'turning'];

    public const SERVICE = ['unhealthy', 'bare', 'unparked', 'minutes', 'touched', 'distance', 'turning'];

    /** @var array<int, float> by shift, in ten-millionths of a mm; below zero where it is not allowed */
    private array $chances = [];

    private bool $isSure = false;

    /** @param  list<string>  $order */
    public function __construct(private readonly ShiftWindow $window, private readonly array $order) {}

    /** @return list<string> */
    public function order(): array
    {
        return $this->order;
    }

    /**
     * The best plan by the rules of the trade: a sure one; else one adjuster turned and read again; else several.
     *
     * @param  array<string, Tried>  $adjusters
     * @return array{list<array<string, float>>, array<string, float>|null} what was weighed, and the best of it
     */
    public function best(array $adjusters): array
    {
        $good = $this->good($adjusters);
        if ($this->isSure || count($adjusters) === 1 || $good === []) {
            return [$good, $this->least($good)];
        }
        $alone = [];
        foreach (array_keys($adjusters) as $id) {
            $others = array_map(
                static fn (Tried $one): Tried => $one === $adjusters[$id] ? $one : $one->still(),
                $adjusters,
            );
            $least = $this->least($this->good($others));
            if ($least !== null) {
                $alone[] = $least;
            }
        }
        $most = array_reduce($alone, static fn (float $most, array $one): float => max($most, $one['chance']), 0.0);
        $alone = array_values(array_filter(
            $alone,
            static fn (array $one): bool => $one['chance'] >= ($most < 0.5 ? 0.0 : 0.8 * $most),
        ));

        return $alone === [] ? [$good, $this->least($good)] : [$alone, $this->least($alone)];
    }

    /**
     * The costs of every position that does, by name.
     *
     * @param  array<string, Tried>  $adjusters
     * @return list<array<string, float>>
     */
    public function good(array $adjusters): array
    {
        $all = [];
        $best = 0.0;
        foreach ($this->positions(array_values($adjusters)) as [$counts, $shift]) {
            $chance = $this->chances[(int) round($shift * 1e7)] ??= $this->window->allows($shift)
                ? $this->window->chance($shift)
                : -1.0;
            if ($chance >= ShiftWindow::LEAST && array_diff($counts, [0]) !== []) {
                $best = max($best, $chance);
                $all[] = [$chance, $shift, $counts];
            }
        }
        $this->isSure = $best >= 0.95;
        $least = $best >= 0.95 ? 0.95 : max($best - 0.02, 0.8 * $best);
        $good = array_filter(
            $all,
            fn (array $one): bool => $one[0] >= $least && ($best >= 0.95 || $this->window->isWorth($one[1])),
        );

        return array_values(array_map(
            fn (array $one): array => $this->cost(array_values($adjusters), $one[2], $one[1]),
            $good,
        ));
    }

    /**
     * @param  list<array<string, float>>  $costs
     * @param  array<string>|null  $order  another order of the criteria than its own
     * @return array<string, float>|null
     */
    public function least(array $costs, ?array $order = null): ?array
    {
        $best = null;
        foreach ($costs as $cost) {
            if ($best === null || $this->inOrder($cost, $order) < $this->inOrder($best, $order)) {
                $best = $cost;
            }
        }

        return $best;
    }

    /**
     * @param  array<string, Tried>  $adjusters
     * @param  array<string, int>  $plan  720ths by adjuster
     * @return array<string, float>
     */
    public function costOf(array $adjusters, array $plan): array
    {
        $counts = array_map(static fn (string $id): int => $plan[$id] ?? 0, array_keys($adjusters));

        return $this->cost(array_values($adjusters), $counts, self::shift(array_values($adjusters), $counts));
    }

    /**
     * @param  list<Tried>  $adjusters
     * @return list<array{list<int>, float}> every choice of places, with the slack it gives
     */
    private function positions(array $adjusters): array
    {
        $all = [[[], 0.0]];
        foreach ($adjusters as $one) {
            $next = [];
            $places = array_map(
                static fn (int $count): array => [$count, $one->adjuster->slackGiven(Steps::fromCount($count))],
                $one->places(),
            );
            foreach ($all as [$counts, $shift]) {
                foreach ($places as [$count, $slack]) {
                    $next[] = [[...$counts, $count], $shift + $slack];
                }
            }
            $all = $next;
        }

        return $all;
    }

    /**
     * @param  list<Tried>  $adjusters
     * @param  list<int>  $counts
     */
    private static function shift(array $adjusters, array $counts): float
    {
        $shift = 0.0;
        foreach ($adjusters as $place => $one) {
            $shift += $one->adjuster->slackGiven(Steps::fromCount($counts[$place]));
        }

        return $shift;
    }

    /**
     * @param  list<Tried>  $adjusters
     * @param  list<int>  $counts
     * @return array<string, float>
     */
    private function cost(array $adjusters, array $counts, float $shift): array
    {
        [$unhealthy, $bare, $unparked, $touched, $turning] = [0, 0, 0, 0, 0.0];
        $minutes = [];
        foreach ($adjusters as $place => $one) {
            $count = $counts[$place];
            $unhealthy += (int) $one->isUnhealthyAfter($count);
            $bare += (int) $one->lacksReserveAfter($count);
            $unparked += $one->fromParkingAfter($count);
            $touched += (int) ($count !== 0);
            $turning += abs($one->adjuster->slackGiven(Steps::fromCount($count)));
            $cover = $one->adjuster->access()->cover ?? $one->adjuster->id();
            $minutes[$cover] = max(
                $minutes[$cover] ?? 0.0,
                $count === 0 || $one->open ? 0.0 : $one->adjuster->access()->minutes,
            );
        }

        return [
            'unhealthy' => $unhealthy,
            'bare' => $bare,
            'unparked' => $unparked,
            'minutes' => array_sum($minutes),
            'touched' => $touched,
            'chance' => $this->chances[(int) round($shift * 1e7)] ?? 0.0,
            'distance' => round($this->window->distance($shift), 6),
            'turning' => round($turning, 6),
        ];
    }

    /**
     * @param  array<string, float>  $cost
     * @param  array<string>|null  $order
     * @return array<float>
     */
    private function inOrder(array $cost, ?array $order): array
    {
        return array_map(static fn (string $name): float => $cost[$name], $order ?? $this->order);
    }
}
