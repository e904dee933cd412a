<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Judging;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Tests\Support\Chance;

final class VerdictTest extends TestCase
{
    /** @return iterable<string, array{float, VerdictKind}> */
    public static function readings(): iterable
    {
        // u = 0.2: the guarded edges lie 1.645 × 0.2 = 0.329 mm inside and outside of 10 and 20.
        yield 'well inside' => [15.0, VerdictKind::Inside];
        yield 'just inside the guarded low edge' => [10.33, VerdictKind::Inside];
        yield 'just short of it' => [10.32, VerdictKind::CantTell];
        yield 'on the low edge itself' => [10.0, VerdictKind::CantTell];
        yield 'just above the sure low outside' => [9.68, VerdictKind::CantTell];
        yield 'surely too tight' => [9.67, VerdictKind::TooTight];
        yield 'just inside the guarded high edge' => [19.67, VerdictKind::Inside];
        yield 'on the high edge itself' => [20.0, VerdictKind::CantTell];
        yield 'surely too loose' => [20.33, VerdictKind::TooLoose];
        yield 'nothing at all' => [0.0, VerdictKind::Taut];
    }

    #[DataProvider('readings')]
    public function test_guarded_verdicts_keep_clear_of_the_edges(float $mean, VerdictKind $kind): void
    {
        self::assertSame($kind, self::judge($mean, DecisionRule::Guarded)->kind);
    }

    public function test_the_plain_rule_goes_by_the_mean(): void
    {
        self::assertSame(VerdictKind::Inside, self::judge(10.0, DecisionRule::Plain)->kind);
        self::assertSame(VerdictKind::TooTight, self::judge(9.99, DecisionRule::Plain)->kind);
        self::assertSame(VerdictKind::Inside, self::judge(20.0, DecisionRule::Plain)->kind);
    }

    public function test_the_sentence_says_by_how_much(): void
    {
        self::assertSame('Outside: too loose by 5.3', self::judge(25.3, DecisionRule::Guarded)->sentence);
        self::assertSame('Outside: too tight by 2.0', self::judge(8.0, DecisionRule::Guarded)->sentence);
        self::assertSame("Can't tell: 57 % chance of inside", self::judge(10.036, DecisionRule::Guarded)->sentence);
    }

    public function test_the_chance_is_always_given(): void
    {
        self::assertEqualsWithDelta(0.5, self::judge(20.0, DecisionRule::Guarded)->chanceInside, 1e-9);
        self::assertGreaterThan(0.999, self::judge(15.0, DecisionRule::Guarded)->chanceInside);
    }

    public function test_looser_readings_never_go_from_too_loose_back_to_inside(): void
    {
        $order = [
            VerdictKind::Taut,
            VerdictKind::TooTight,
            VerdictKind::CantTell,
            VerdictKind::Inside,
            VerdictKind::CantTell,
            VerdictKind::TooLoose,
        ];
        $seen = [];
        for ($mm = 0.0; $mm <= 30.0; $mm += 0.05) {
            $kind = self::judge($mm, DecisionRule::Guarded)->kind;
            if ($seen === [] || $kind !== $seen[count($seen) - 1]) {
                $seen[] = $kind;
            }
        }
        self::assertSame($order, $seen);
    }

    public function test_a_one_sided_band_has_one_edge(): void
    {
        $atMost = SpecBand::between(null, 1.6);
        self::assertSame(VerdictKind::Inside, self::judge(0.5, DecisionRule::Guarded, $atMost, 0.05)->kind);
        self::assertSame(VerdictKind::TooLoose, self::judge(2.0, DecisionRule::Guarded, $atMost, 0.05)->kind);
        $atLeast = SpecBand::between(2.0, null);
        self::assertSame(VerdictKind::Inside, self::judge(40.0, DecisionRule::Guarded, $atLeast)->kind);
        self::assertSame(VerdictKind::TooTight, self::judge(1.0, DecisionRule::Guarded, $atLeast)->kind);
    }

    public function test_three_readings_that_agree_by_chance_are_no_surer_than_the_person(): void
    {
        // Band 2 to 6, three times 2.02 with a caliper: s² = (5 × 0.12² + 2 × 0)/7 by what is usual (ours), u = s/√3
        // with 7 degrees of freedom.
        $caliper = Instrument::of('c', 'c', InstrumentKind::Caliper, 0.02, 150, null);
        $found = Uncertainty::ofReadings(
            [2.02, 2.02, 2.02],
            $caliper,
            Repeatability::usualFor(InstrumentKind::Caliper),
            0.02,
        );
        $verdict = Verdict::of($found, SpecBand::between(2.0, 6.0), DecisionRule::Guarded, static fn (): null => null);
        self::assertSame(VerdictKind::CantTell, $verdict->kind);
        self::assertLessThan(0.7, $verdict->chanceInside);
    }

    public function test_the_chance_uses_the_same_curve_as_u(): void
    {
        // On the edge by t.95 with 5 degrees of freedom, 2.015 (JCGM 100:2008, table G.2): just sure.
        $caliper = Instrument::of('c', 'c', InstrumentKind::Caliper, 1e-6, 150, null);
        foreach ([[2.015 + 0.001, VerdictKind::Inside], [2.015 - 0.001, VerdictKind::CantTell]] as [$t, $kind]) {
            $found = Uncertainty::ofReadings([10.0 + 0.2 * $t], $caliper, Repeatability::pooled(0.2, 5.0), 1e-6);
            self::assertSame(
                $kind,
                Verdict::of(
                    $found,
                    SpecBand::between(10.0, 20.0),
                    DecisionRule::Guarded,
                    static fn (): null => null,
                )->kind,
            );
        }
    }

    /**
     * @return iterable<string, array{InstrumentKind, float, float, float}> kind, marks, hand, where the edge lies
     *     between two marks
     */
    public static function atTheEdge(): iterable
    {
        foreach (InstrumentKind::cases() as $kind) {
            foreach (['fine' => 0.02, 'usual' => 0.05, 'coarse' => 0.5, 'very coarse' => 1.0] as $name => $marks) {
                foreach ([0.0, 0.25, 0.5] as $between) {
                    yield "{$kind->value}, {$name} marks, edge {$between} of a mark" => [
                        $kind,
                        $marks,
                        $kind->usualDeviation(),
                        $between,
                    ];
                }
            }
        }
        yield 'a hand much steadier than the marks' => [InstrumentKind::Caliper, 0.1, 0.005, 0.5];
    }

    #[DataProvider('atTheEdge')]
    public function test_with_the_truth_on_an_edge_inside_is_said_in_at_most_one_of_twenty(
        InstrumentKind $kind,
        float $marks,
        float $hand,
        float $between,
    ): void {
        $chance = new Chance(2106);
        $instrument = Instrument::of('i', 'i', $kind, $marks, 300, null);
        $edge = $marks * (round(10 / $marks) + $between);
        $band = SpecBand::between($edge, $edge + 10.0);
        $pooled = $hand === $kind->usualDeviation()
            ? Repeatability::usualFor($kind)
            : Repeatability::pooled($hand, 30.0);
        foreach ([1, 2, 3, 5, 10] as $n) {
            $false = 0;
            for ($case = 0; $case < 300; $case++) {
                $values = array_map(
                    static fn (): float => round($chance->normal($edge, $hand) / $marks) * $marks,
                    range(1, $n),
                );
                $found = Uncertainty::ofReadings($values, $instrument, $pooled, $marks);
                $false += (int) Verdict::of(
                    $found,
                    $band,
                    DecisionRule::Guarded,
                    static fn (): null => null,
                )->is(VerdictKind::Inside);
            }
            // 5 % of 300 are 15; three standard deviations of that are 11 more.
            self::assertLessThanOrEqual(26, $false, "seed 2106, n {$n}");
        }
    }

    private static function judge(float $mean, DecisionRule $rule, ?SpecBand $band = null, float $u = 0.2): Verdict
    {
        $instrument = Instrument::of('i', 'i', InstrumentKind::Caliper, 1e-12, 100, null);
        $found = Uncertainty::ofReadings([$mean], $instrument, Repeatability::pooled($u, 1e9), 1e-12);

        return Verdict::of($found, $band ?? SpecBand::between(10.0, 20.0), $rule, static fn (): null => null);
    }
}
