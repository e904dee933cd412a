<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Trace;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Trace\Branch;
use VividPull\Core\Trace\Phase;
use VividPull\Core\Trace\PhaseKind;
use VividPull\Core\Trace\PullTrace;
use VividPull\Core\Trace\Reached;
use VividPull\Core\Trace\Thinned;
use VividPull\Core\Trace\TraceChange;
use VividPull\Core\Trace\TraceFinding;
use VividPull\Core\Trace\TraceFindings;
use VividPull\Core\Trace\TraceReading;
use VividPull\Core\Trace\TraceSummary;
use VividPull\Core\Trace\WorkingEnd;

/** What is said of curves whose phases are known. */
final class TraceReadingTest extends TestCase
{
    private const CLUTCH = [
        [0.0, 1.0], [10.0, 1.5], [10.5, 5.0], [14.0, 5.5], [20.0, 45.0], [50.0, 60.0], [52.0, 110.0],
    ];

    private const WRONG_SPLINE = [[0.0, 1.0], [10.0, 1.5], [10.5, 5.0], [50.0, 11.0], [52.0, 61.0]];

    public function test_a_clutch_lever_has_its_phases_in_order(): void
    {
        $read = self::read(self::CLUTCH);

        self::assertSame(
            ['free_play', 'return_spring', 'take_up', 'working', 'end_stop'],
            array_map(static fn (Phase $one): string => $one->kind->value, $read->phases->all),
        );
        self::assertSame(
            ['free play', 'return spring', 'take-up', 'clutch springs', 'end stop'],
            array_map(
                static fn (Phase $one): string => $one->kind->label(WorkingEnd::ClutchSprings),
                $read->phases->all,
            ),
        );
        self::assertEqualsWithDelta(10.0, $read->play() ?? 0.0, $read->expanded() ?? 0.0);
        self::assertSame(Reached::Yes, $read->reached);
        self::assertEqualsWithDelta([60.0, 50.0], [$read->heaviest->toN, $read->heaviest->to], 0.3);
    }

    public function test_friction_is_told_from_the_loop(): void
    {
        self::assertEqualsWithDelta(0.8, self::read(self::CLUTCH, 0.8)->loop?->efficiency() ?? 0.0, 0.005);
        self::assertNull(self::read(self::CLUTCH, 1.2)->loop);
        self::assertStringContainsString('mixed up', self::said(self::read(self::CLUTCH, 1.2), 'friction'));
        self::assertStringContainsString(
            'oil it',
            self::said(self::read(self::CLUTCH, 0.6), 'friction', LeverPull::of(50.0, 40.0)),
        );
        self::assertStringContainsString(
            'As it should be',
            self::said(self::read(self::CLUTCH, 0.88), 'friction', LeverPull::of(50.0, 40.0)),
        );
    }

    public function test_an_arm_on_the_wrong_spline_is_said_and_no_play_taken_from_it(): void
    {
        $read = self::read(self::WRONG_SPLINE);

        self::assertSame(Reached::ReturnOnly, $read->reached);
        self::assertSame(
            ['free_play', 'return_spring', 'end_stop'],
            array_map(static fn (Phase $one): string => $one->kind->value, $read->phases->all),
            'nothing of it is named springs',
        );
        self::assertStringContainsString('wrong spline', self::said($read, 'reached'));
        self::assertSame([null, null], [$read->play(), $read->summary()->playMm]);
        self::assertStringContainsString('may be the spring', self::said($read, 'play'));
    }

    public function test_what_was_not_pulled_to_the_stop_is_not_called_a_wrong_spline(): void
    {
        $short = [[0.0, 1.0], [10.0, 1.5], [10.5, 5.0], [14.0, 5.5], [16.0, 18.0]];

        self::assertSame(Reached::CannotTell, self::read($short, isToStop: false)->reached);
        self::assertNotContains(
            PhaseKind::EndStop,
            array_map(
                static fn (Phase $one): PhaseKind => $one->kind,
                self::read($short, isToStop: false)->phases->all,
            ),
        );
    }

    public function test_a_new_cables_figure_tells_where_the_weight_alone_does_not(): void
    {
        $between = [[0.0, 1.0], [10.0, 1.5], [10.5, 5.0], [50.0, 26.0], [52.0, 76.0]];

        self::assertSame(Reached::CannotTell, self::read($between)->reached);
        self::assertSame(Reached::ReturnOnly, self::read($between, newN: 80.0)->reached);
        self::assertSame(Reached::Yes, self::read($between, newN: 30.0)->reached);
    }

    public function test_a_taut_lever_has_no_free_play(): void
    {
        $read = self::read([[0.0, 6.0], [6.0, 45.0], [46.0, 60.0], [48.0, 110.0]]);

        self::assertNull($read->play());
        self::assertStringContainsString('Read the play by hand', self::said($read, 'play'));
    }

    public function test_a_throttle_needs_no_return_spring_before_its_own(): void
    {
        $read = self::read(
            [[0.0, 0.5], [4.0, 0.8], [4.6, 6.0], [40.0, 14.0], [41.0, 40.0]],
            end: WorkingEnd::ThrottleSpring,
        );

        self::assertEqualsWithDelta(4.0, $read->play() ?? 0.0, $read->expanded() ?? 0.0);
        self::assertSame(Reached::Yes, $read->reached);
    }

    public function test_travel_told_by_time_gives_friction_and_no_reading(): void
    {
        $read = self::read(self::CLUTCH, 0.8);
        $back = $read->trace->release ?? self::fail('It has a way back.');
        $timed = PullTrace::steady($read->trace->pull, Branch::of($back->travel, array_reverse($back->force)), 52.0);
        $steady = TraceReading::of($timed, WorkingEnd::ClutchSprings);

        self::assertNull($steady->play());
        self::assertSame('about 10.0 mm', TraceFindings::of($steady, WorkingEnd::ClutchSprings, null)[0]->figure);
        self::assertEqualsWithDelta(0.8, $steady->loop?->efficiency() ?? 0.0, 0.005);
    }

    public function test_travel_is_counted_from_rest(): void
    {
        $shifted = array_map(static fn (array $one): array => [$one[0] + 7.0, $one[1]], self::CLUTCH);

        self::assertEqualsWithDelta(self::read(self::CLUTCH)->play(), self::read($shifted)->play(), 1e-4);
    }

    public function test_the_marks_of_the_instrument_widen_what_is_said(): void
    {
        self::assertGreaterThan(
            self::read(self::CLUTCH)->expanded() ?? 0.0,
            self::read(self::CLUTCH, marksMm: 1.0)->expanded() ?? 0.0,
        );
    }

    public function test_sentences_are_in_the_units_of_who_reads(): void
    {
        $read = self::read(self::CLUTCH);
        $inches = Spoken::in(
            LengthStyle::DecimalInches,
            static fn (): array => TraceFindings::of($read, WorkingEnd::ClutchSprings, null),
        );

        self::assertStringContainsString(' in', $inches[0]->figure);
        self::assertStringNotContainsString(
            'mm',
            implode(
                ' ',
                array_map(static fn (TraceFinding $one): string => "{$one->figure} {$one->sentence}", $inches),
            ),
        );
    }

    public function test_no_trace_comes_of_a_pull_that_hardly_moves(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('The pull moves no further than a millimetre.');
        PullTrace::of(
            Branch::of(array_map(static fn (int $n): float => 0.05 * $n, range(0, 15)), array_fill(0, 16, 3.0)),
            null,
        );
    }

    public function test_thinned_it_keeps_every_extreme(): void
    {
        $x = array_map(static fn (int $n): float => 0.001 * $n, range(0, 49_999));
        $y = array_map(static fn (int $n): float => sin($n / 900) * 5, range(0, 49_999));
        $y[31_337] = 44.0;
        $y[12_001] = -9.0;
        $thin = Thinned::of(Branch::of($x, $y), 0.0);
        $forces = array_column($thin, 1);
        $travels = array_column($thin, 0);
        $sorted = $travels;
        sort($sorted);

        self::assertLessThanOrEqual(4 * Thinned::COLUMNS, count($thin));
        self::assertSame(
            [44.0, -9.0, 0.0, 49.999],
            [max(0.0, ...$forces), min(0.0, ...$forces), $travels[0], $travels[count($travels) - 1]],
        );
        self::assertSame($sorted, $travels, 'as they came');
        self::assertCount(
            10,
            Thinned::of(Branch::of(array_map(floatval(...), range(0, 9)), array_fill(0, 10, 1.0)), 0.0),
            'few are all kept',
        );
    }

    public function test_what_changed_is_said_and_what_did_not_is_not(): void
    {
        $before = new TraceSummary(9.0, 0.3, 60.0, 50.0, 0.78, Reached::Yes, 0);

        self::assertSame(
            ['Nothing in it differs by more than two pulls of one cable do.'],
            TraceChange::between($before, new TraceSummary(9.3, 0.3, 62.0, 50.0, 0.76, Reached::Yes, 0)),
        );
        self::assertSame(
            [
                'Free play is 3.0 mm less than it was.',
                'Friction takes 35 % of the pull, and took 22 %. It runs drier, or it is bent or frayed.',
                'It pulls 25 % heavier than it did.',
            ],
            TraceChange::between($before, new TraceSummary(6.0, 0.3, 75.0, 50.0, 0.65, Reached::Yes, 0)),
        );
        self::assertSame(
            ['Friction takes 10 % of the pull, and took 22 %.'],
            TraceChange::between($before, new TraceSummary(null, null, 60.0, 50.0, 0.90, Reached::Yes, 0)),
        );
    }

    /** @param  non-empty-list<array{float, float}>  $breaks */
    private static function read(
        array $breaks,
        ?float $efficiency = null,
        WorkingEnd $end = WorkingEnd::ClutchSprings,
        ?float $newN = null,
        float $marksMm = 0.0,
        bool $isToStop = true,
    ): TraceReading {
        [$travel, $pull, $back] = [[], [], []];
        for ($n = 0; $n <= 1200; $n++) {
            $mm = $breaks[0][0] + ($breaks[count($breaks) - 1][0] - $breaks[0][0]) * $n / 1200;
            $place = 1;
            while ($place < count($breaks) - 1 && $mm > $breaks[$place][0]) {
                $place++;
            }
            [[$from, $low], [$to, $high]] = [$breaks[$place - 1], $breaks[$place]];
            $travel[] = $mm;
            $pull[] = $low
                + ($high - $low) * ($mm - $from) / ($to - $from)
                + 0.05 * sin(37.0 * $n)
                + 0.04 * cos(11.3 * $n);
            $back[] = $pull[$n] * ($efficiency ?? 1.0) ** 2;
        }

        return TraceReading::of(
            PullTrace::of(Branch::of($travel, $pull), $efficiency === null ? null : Branch::of($travel, $back)),
            $end,
            $newN,
            $marksMm,
            $isToStop,
        );
    }

    private static function said(TraceReading $read, string $key, ?LeverPull $fresh = null): string
    {
        foreach (TraceFindings::of($read, WorkingEnd::ClutchSprings, $fresh) as $finding) {
            if ($finding->key === $key) {
                return $finding->sentence;
            }
        }
        self::fail("Nothing is said of {$key}.");
    }
}
