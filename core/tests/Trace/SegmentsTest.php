<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Trace;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Trace\Branch;
use VividPull\Core\Trace\BrokenLine;
use VividPull\Core\Trace\Cells;
use VividPull\Core\Trace\Curve;
use VividPull\Core\Trace\SegmentSearch;

/** The pieces of a curve: against every set of knots there is, and against R (`core/tests/References/traces.R`). */
final class SegmentsTest extends TestCase
{
    private const FILE = __DIR__.'/../References/traces.json';

    /** `segmented` in R on a small example, 2.0-4 or later; its answers are in the brief's outside values. */
    public function test_a_small_example_breaks_where_r_breaks_it(): void
    {
        $force = [
            2.10, 2.20, 2.58, 2.63, 3.03, 3.31, 3.41, 3.79, 3.98, 7.11, 9.93, 13.05, 15.90, 19.09, 21.97, 25.02, 27.94,
            31.07, 33.96,
        ];
        $cells = Cells::of(Branch::of(array_map(static fn (int $n): float => 0.5 * $n, range(0, 18)), $force));
        $line = BrokenLine::fitted($cells, SegmentSearch::of($cells, 2)->starts(2));

        self::assertEqualsWithDelta(3.993834925, $line->knots[1], 1e-6);
        self::assertEqualsWithDelta(0.4873809499, $line->slope(0), 1e-6);
        self::assertEqualsWithDelta(5.9959999990, $line->slope(1), 1e-6);
        self::assertEqualsWithDelta(0.0944391125541, $line->left, 1e-9);
        self::assertSame(
            2,
            Curve::of(Branch::of(
                array_map(static fn (int $n): float => 0.5 * $n, range(0, 18)),
                $force,
            ))->line->pieces(),
        );
    }

    public function test_no_other_knots_leave_less_on_two_hundred_small_curves(): void
    {
        for ($seed = 1; $seed <= 200; $seed++) {
            $chance = new Chance($seed);
            $count = $chance->whole(9, 22);
            [$x, $y, $slope, $force] = [[], [], 0.1, 1.0];
            for ($place = 0; $place < $count; $place++) {
                $slope = $chance->between(0.0, 1.0) < 0.2 ? $chance->between(-1.0, 6.0) : $slope;
                $force += $slope;
                $x[] = $place + $chance->between(0.0, 0.4);
                $y[] = $force + $chance->normal(0.0, 0.5);
            }
            $cells = Cells::of(Branch::of($x, $y));
            $search = SegmentSearch::of($cells, 3);
            foreach ([2, 3] as $pieces) {
                self::assertEqualsWithDelta(
                    self::least($x, $y, 0, $pieces),
                    $search->error($pieces),
                    1e-7,
                    "seed {$seed}, {$pieces} pieces",
                );
                self::assertEqualsWithDelta(
                    $search->error($pieces),
                    self::leftBy($x, $y, [...$search->starts($pieces), $count]),
                    1e-7,
                    "seed {$seed}: its own knots",
                );
            }
        }
    }

    public function test_fifty_curves_break_where_r_breaks_them(): void
    {
        /**
         * @var list<array{
         *     x: non-empty-list<float>, y: non-empty-list<float>, pieces: int,
         *     apart: array{left: float, last: list<int>}, met: array{left: float, at: list<float>},
         * }> $cases
         */
        $cases = json_decode((string) file_get_contents(self::FILE), true, flags: JSON_THROW_ON_ERROR);
        self::assertCount(50, $cases);
        foreach ($cases as $n => $case) {
            $cells = Cells::of(Branch::of($case['x'], $case['y']));
            $search = SegmentSearch::of($cells, $case['pieces']);
            // strucchange: the last point of each piece but the last, counted from one.
            self::assertSame($case['apart']['last'], array_slice($search->starts($case['pieces']), 1), "curve {$n}");
            self::assertEqualsWithDelta(
                $case['apart']['left'],
                $search->error($case['pieces']),
                1e-7 * $case['apart']['left'] + 1e-9,
                "curve {$n}",
            );
            $line = BrokenLine::fitted($cells, $search->starts($case['pieces']))->settled($cells);
            self::assertLessThanOrEqual(
                $case['met']['left'] * (1 + 1e-5),
                $line->left,
                "curve {$n}: as little is left as by segmented",
            );
            foreach ($line->left < $case['met']['left'] * (1 - 1e-5) ? [] : $case['met']['at'] as $place => $at) {
                self::assertEqualsWithDelta($at, $line->knots[$place + 1], 0.02, "curve {$n}");
            }
        }
    }

    public function test_cells_hold_what_their_points_hold(): void
    {
        $chance = new Chance(4);
        $x = $y = [];
        for ($place = 0; $place < 5000; $place++) {
            $x[] = $chance->between(3.0, 63.0);
            $y[] = $chance->normal(20.0, 5.0);
        }
        $cells = Cells::of(Branch::of($x, $y));
        $count = $cells->count();

        self::assertLessThanOrEqual(Cells::MOST + 1, $count);
        self::assertSame(5000.0, $cells->n[$count]);
        self::assertEqualsWithDelta(array_sum($y), $cells->sy[$count], 1e-6);
        self::assertEqualsWithDelta(array_sum($x) - 5000 * $cells->zero, $cells->sx[$count], 1e-6);
        $sorted = $cells->x;
        sort($sorted);
        self::assertSame($sorted, $cells->x);
    }

    public function test_points_at_one_travel_are_one_cell(): void
    {
        $cells = Cells::of(Branch::of([0.0, 1.0, 1.0, 2.0], [1.0, 2.0, 4.0, 5.0]));

        self::assertSame([1.0, 3.0, 5.0], $cells->y);
        self::assertSame([1.0, 2.0, 1.0], $cells->weight);
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     */
    private static function least(array $x, array $y, int $from, int $pieces): float
    {
        if ($pieces === 1) {
            return self::leftBy($x, $y, [$from, count($x)]);
        }
        $least = INF;
        for ($to = $from + SegmentSearch::LEAST; $to <= count($x) - SegmentSearch::LEAST * ($pieces - 1); $to++) {
            $least = min($least, self::leftBy($x, $y, [$from, $to]) + self::least($x, $y, $to, $pieces - 1));
        }

        return $least;
    }

    /**
     * Two-pass, centred before it is squared.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @param  list<int>  $ends
     */
    private static function leftBy(array $x, array $y, array $ends): float
    {
        $left = 0.0;
        for ($piece = 0; $piece < count($ends) - 1; $piece++) {
            $xs = array_slice($x, $ends[$piece], $ends[$piece + 1] - $ends[$piece]);
            $ys = array_slice($y, $ends[$piece], $ends[$piece + 1] - $ends[$piece]);
            [$mx, $my] = [array_sum($xs) / count($xs), array_sum($ys) / count($ys)];
            $sxx = $sxy = 0.0;
            foreach ($xs as $place => $at) {
                $sxx += ($at - $mx) ** 2;
                $sxy += ($at - $mx) * ($ys[$place] - $my);
            }
            foreach ($xs as $place => $at) {
                $left += ($ys[$place] - $my - $sxy / $sxx * ($at - $mx)) ** 2;
            }
        }

        return $left;
    }
}
