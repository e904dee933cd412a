<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Measurement;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;

/**
 * What would be called inside: just so far as the chance allows, by any curve, in any band, with coarse marks or
 * without.
 */
final class ConformityTest extends TestCase
{
    public function test_what_would_be_called_inside_ends_where_the_chance_does(): void
    {
        mt_srand(20_261);
        [$tried, $none] = [0, 0];
        foreach ($this->cases(2000) as [$band, $spread]) {
            $tells = json_encode([$band, $spread], JSON_PARTIAL_OUTPUT_ON_ERROR);
            $middle = ($band->floor() + $band->ceiling()) / 2;
            $accepted = Conformity::acceptance($band, $spread, DecisionRule::Guarded);
            if ($accepted === null) {
                $none++;
                self::assertLessThan(
                    DecisionRule::CONFIDENCE,
                    Conformity::chanceInside($middle, $spread, $band),
                    (string) $tells,
                );

                continue;
            }
            $tried++;
            [$from, $to] = $accepted;
            $nearly = ($middle - $band->floor()) / 2 ** 18;
            self::assertEqualsWithDelta($middle, ($from + $to) / 2, 1e-9);
            foreach ([$from, ($from + $middle) / 2, $middle, ($to + $middle) / 2, $to - 1e-9] as $mean) {
                self::assertGreaterThanOrEqual(
                    DecisionRule::CONFIDENCE - 1e-9,
                    Conformity::chanceInside($mean, $spread, $band),
                    (string) $tells,
                );
            }
            foreach ([$from - $nearly, $to + $nearly] as $mean) {
                self::assertLessThan(
                    DecisionRule::CONFIDENCE,
                    Conformity::chanceInside($mean, $spread, $band),
                    (string) $tells,
                );
            }
        }
        self::assertGreaterThan(1000, $tried);
        self::assertGreaterThan(100, $none);
    }

    /** Where no edge lies across, the chance of one edge alone ends at the guard. */
    public function test_with_one_edge_the_guard_is_where_the_chance_ends(): void
    {
        foreach ([1.0, 3.9, 30.0, INF] as $freedom) {
            foreach ([Spread::of(0.4, $freedom), Spread::rounded(0.4, $freedom, 0.25, 0.3, 0.5, 2)] as $spread) {
                $guard = Conformity::guard($spread);
                $band = SpecBand::between(10.0, null);
                self::assertEqualsWithDelta(
                    DecisionRule::CONFIDENCE,
                    Conformity::chanceInside(10.0 + $guard, $spread, $band),
                    1e-6,
                    "ν = {$freedom}",
                );
                self::assertSame([10.0 + $guard, INF], Conformity::acceptance($band, $spread, DecisionRule::Guarded));
            }
        }
    }

    /** @return iterable<array{SpecBand, Spread}> */
    private function cases(int $count): iterable
    {
        for ($n = 0; $n < $count; $n++) {
            $low = mt_rand(0, 200) / 10;
            $standard = exp(mt_rand(-4000, 1000) / 1000);
            $freedom = [1.0, 2.0, 3.0, 5.0, 9.7, 23.4, 60.0, 399.9, 400.5, 1200.0, INF][mt_rand(0, 10)];
            $marks = [0.5, 1.0][mt_rand(0, 1)];

            yield [
                SpecBand::between($low, $low + mt_rand(1, 150) / 10),
                mt_rand(0, 1) === 0 ? Spread::of($standard, $freedom)
                    : Spread::rounded(
                        $standard,
                        $freedom,
                        $standard * mt_rand(10, 100) / 100,
                        mt_rand(5, 100) / 100,
                        $marks,
                        mt_rand(1, 6),
                    ),
            ];
        }
    }
}
