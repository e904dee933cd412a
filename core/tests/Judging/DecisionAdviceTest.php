<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Judging;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Judging\Settles;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\TestJob;

final class DecisionAdviceTest extends TestCase
{
    public function test_near_the_edge_it_names_the_instrument_that_would_decide(): void
    {
        $verdict = TestJob::clutch()->ready()->read(19.4)->state->judgement->now;
        self::assertSame(VerdictKind::CantTell, $verdict->kind);
        self::assertStringContainsString('take a caliper', (string) $verdict->advice);
        self::assertStringContainsString("Can't tell with this steel rule", (string) $verdict->advice);
    }

    public function test_or_how_many_more_readings_would(): void
    {
        $shelf = ['shelf' => [[
            'id' => 'rule',
            'name' => 'Steel rule',
            'kind' => 'steel_rule',
            'resolution_mm' => 0.5,
            'reach_mm' => 300,
        ]]];
        $job = TestJob::clutch(standing: $shelf + TestJob::standing())->ready()->read(19.22);
        self::assertMatchesRegularExpression(
            "/^Can't tell with this steel rule: read (once|twice|\d times) more\.$/",
            (string) $job->state->judgement->now->advice,
        );
    }

    public function test_what_nothing_here_can_decide_says_so(): void
    {
        $shelf = ['shelf' => [[
            'id' => 'rule',
            'name' => 'Steel rule',
            'kind' => 'steel_rule',
            'resolution_mm' => 0.5,
            'reach_mm' => 300,
        ]]];
        $verdict = TestJob::clutch(standing: $shelf + TestJob::standing())
            ->ready()
            ->read(20.0, 19.5, 20.0)->state->judgement->now;
        self::assertSame(Settles::Nothing, $verdict->settles);
        self::assertMatchesRegularExpression(
            '/^Inside with \d\d %: this steel rule can say no more\. A finer instrument would\.$/',
            (string) $verdict->advice,
        );
        self::assertFalse($verdict->mayBeLeft(), 'two in three is too little to leave it at');
    }

    public function test_leave_it_is_said_exactly_where_it_may_be_left(): void
    {
        $shelf = ['shelf' => [[
            'id' => 'rule',
            'name' => 'Steel rule',
            'kind' => 'steel_rule',
            'resolution_mm' => 0.5,
            'reach_mm' => 300,
        ]]];
        $said = ['or leave it.' => 0, 'instrument would.' => 0];
        for ($first = 18.0; $first <= 21.0; $first += 0.5) {
            for ($second = 18.5; $second <= 21.0; $second += 0.5) {
                $verdict = TestJob::clutch(standing: $shelf + TestJob::standing())
                    ->ready()
                    ->read($first, $second, $second, $second)->state->judgement->now;
                if ($verdict->settles !== Settles::Nothing || ! str_starts_with((string) $verdict->advice, 'Inside')) {
                    continue;
                }
                $words = $verdict->mayBeLeft() ? 'or leave it.' : 'instrument would.';
                self::assertStringEndsWith($words, (string) $verdict->advice);
                $said[$words]++;
            }
        }
        self::assertGreaterThan(0, min($said));
    }

    /** @return iterable<string, array{float, float}> */
    public static function nearEdges(): iterable
    {
        yield 'a rule, some way inside' => [0.5, 0.9];
        yield 'a rule, further inside' => [0.5, 0.7];
        yield 'a caliper, close to the edge' => [0.05, 0.12];
        yield 'a caliper, a little further' => [0.05, 0.18];
    }

    /**
     * What is promised is kept in nine of ten groups: truths drawn as the readings leave them, then as many more are
     * read.
     */
    #[DataProvider('nearEdges')]
    public function test_so_many_more_readings_decide_it_nine_times_in_ten(float $marks, float $inside): void
    {
        $chance = new Chance(90);
        [$asked, $kept] = [0, 0];
        $kind = $marks === 0.5 ? InstrumentKind::SteelRule : InstrumentKind::Caliper;
        $hand = $kind->usualDeviation();
        $ready = TestJob::clutch(
            standing: ['shelf' => [[
                'id' => 'one',
                'name' => 'one',
                'kind' => $kind->value,
                'resolution_mm' => $marks,
                'reach_mm' => 300,
            ]]]
                + TestJob::standing(),
        )->ready();
        $ready->instrument = 'one';
        for ($case = 0; $case < 600 && $asked < 60; $case++) {
            $truth = 20.0 - $inside + 0.5 * $hand * $chance->normal(0.0, 1.0);
            $read = static fn (): float => round(($truth + $hand * $chance->normal(0.0, 1.0)) / $marks) * $marks;
            $job = clone $ready;
            $job->read($read(), $read());
            if (preg_match(
                '/read (once|twice|(\d) times) more/',
                (string) $job->state->judgement->now->advice,
                $more,
            ) !== 1) {
                continue;
            }
            $asked++;
            $job->read(...array_map(static fn (): float => $read(), range(1, match ($more[1]) {
                'once' => 1, 'twice' => 2, default => (int) $more[1],
            })));
            $kept += (int) ! $job->state->judgement->now->is(VerdictKind::CantTell);
        }
        if ($asked > 20) {
            // Nine in ten, less three standard deviations of so many tries.
            self::assertGreaterThanOrEqual(
                0.9 - 3 * sqrt(0.09 / $asked),
                $kept / $asked,
                "seed 90, asked {$asked}, kept {$kept}",
            );
        }
        self::assertGreaterThanOrEqual(0, $asked);
    }

    public function test_a_decided_verdict_asks_for_nothing(): void
    {
        self::assertNull(TestJob::clutch()->ready()->read(15)->state->judgement->now->advice);
        self::assertNull(TestJob::clutch()->ready()->read(25)->state->judgement->now->advice);
    }

    /** The halved edge against a walk through the band in steps of a thousandth. */
    public function test_the_acceptance_interval_agrees_with_a_walk(): void
    {
        $chance = new Chance(77);
        for ($case = 0; $case < 40; $case++) {
            $low = $chance->between(1.0, 10.0);
            $band = SpecBand::between($low, $low + $chance->between(1.0, 10.0));
            $u = $chance->between(0.05, 1.2);
            $accepted = Conformity::acceptance($band, Spread::of($u), DecisionRule::Guarded);
            $inside = [];
            for ($mm = $band->floor(); $mm <= $band->ceiling(); $mm += 0.001) {
                if (Conformity::chanceInside($mm, Spread::of($u), $band) >= 0.95) {
                    $inside[] = $mm;
                }
            }
            self::assertSame($inside === [], $accepted === null, "seed 77, case {$case}");
            if ($accepted !== null && $inside !== []) {
                self::assertEqualsWithDelta($inside[0], $accepted[0], 0.0011, "seed 77, case {$case}");
                self::assertEqualsWithDelta($inside[count($inside) - 1], $accepted[1], 0.0011, "seed 77, case {$case}");
            }
        }
    }

    public function test_the_chance_and_its_edges_hang_together(): void
    {
        $band = SpecBand::between(10.0, 20.0);
        self::assertSame(1.0, Conformity::chanceInside(10.0, Spread::of(0.0), $band), 'surely on the edge is inside');
        self::assertSame(0.0, Conformity::chanceInside(9.99, Spread::of(0.0), $band));
        self::assertSame([10.0, 20.0], Conformity::acceptance($band, Spread::of(0.5), DecisionRule::Plain));
        self::assertSame(
            INF,
            Conformity::acceptance(SpecBand::between(2.0, null), Spread::of(0.2), DecisionRule::Guarded)[1] ?? null,
        );
    }

    public function test_samples_are_pooled_by_their_degrees_of_freedom(): void
    {
        // (5 × 0.3² + 2 × 0.1²) / 7 = 0.0671…
        $pooled = Repeatability::pooled(0.3, 5.0)->with(0.1, 2.0);
        self::assertEqualsWithDelta(sqrt((5 * 0.09 + 2 * 0.01) / 7), $pooled->deviation, 1e-12);
        self::assertSame(7.0, $pooled->freedom);
    }
}
