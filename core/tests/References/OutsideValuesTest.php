<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\References;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Learning\TaughtPlay;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\GaugeStudy;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\FDistribution;
use VividPull\Core\Statistics\NormalDistribution;
use VividPull\Core\Statistics\SampleDeviation;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\ThroughOrigin;
use VividPull\Core\Statistics\WelchSatterthwaite;
use VividPull\Core\Wear\LimitAhead;
use VividPull\Core\Wear\Play;

/**
 * The core against values from outside, stored in values.json with their source and the command that makes each anew
 * (`bin/references`).
 */
final class OutsideValuesTest extends TestCase
{
    private const TEMPERATURES = [96.90, 98.18, 98.25, 98.61, 99.03, 99.49, 99.56, 99.74, 99.89, 100.07, 100.33, 100.42,
        100.68, 100.95, 101.11, 101.20, 101.57, 101.84, 102.36, 102.72];

    /** @return iterable<string, array{string, float, float}> */
    public static function stored(): iterable
    {
        $rows = json_decode((string) file_get_contents(__DIR__.'/values.json'), true, flags: JSON_THROW_ON_ERROR);
        foreach ($rows as $row) {
            yield "{$row['name']}: {$row['tool']} {$row['command']}" => [$row['name'], $row['value'], $row['within']];
        }
    }

    #[DataProvider('stored')]
    public function test_the_core_comes_to_the_same(string $name, float $value, float $within): void
    {
        self::assertEqualsWithDelta(
            $value,
            self::byTheCore($name),
            max($within, self::gridOf($name)) * max(1.0, abs($value)),
        );
    }

    private static function line(string $name): float
    {
        $points = match (true) {
            str_starts_with($name, 'NoInt1') => array_map(
                static fn (int $n): array => ['x' => 60.0 + $n, 'y' => 130.0 + $n, 'weight' => 1.0],
                range(0, 10),
            ),
            str_starts_with($name, 'NoInt2') => [
                ['x' => 4.0, 'y' => 3.0, 'weight' => 1.0],
                ['x' => 5.0, 'y' => 4.0, 'weight' => 1.0],
                ['x' => 6.0, 'y' => 4.0, 'weight' => 1.0],
            ],
            default => array_map(
                static fn (float $x, float $y, float $u): array => ['x' => $x, 'y' => $y, 'weight' => 1 / $u ** 2],
                [1180.0, 1040.0, 980.0, 1210.0],
                [-4.1, -3.9, -3.3, -4.6],
                [0.3, 0.25, 0.3, 0.4],
            ),
        };
        $line = ThroughOrigin::of($points);

        return match (true) {
            str_ends_with($name, 'slope') => $line->slope,
            str_ends_with($name, 'error') => $line->standardError(),
            default => $line->residual ?? 0.0,
        };
    }

    private static function bound(string $name): float
    {
        [$limit, $error] = $name === 'wear, low bound' ? [10.0, 2e-4] : [20.0, 4e-3];

        return LimitAhead::of($limit, new Play(15.4, 0.3), -0.0035, $error, 2.0, 1e5)->bound ?? 0.0;
    }

    private static function byTheCore(string $name): float
    {
        return match (true) {
            str_starts_with($name, 't.975 with ') => StudentDistribution::coverageFactor(0.95, (int) substr($name, 11)),
            preg_match(
                '/^F above ([\d.]+) with (\d+), (\d+)$/',
                $name,
                $part,
            ) === 1 => FDistribution::above((float) $part[1], (float) $part[2], (float) $part[3]),
            str_starts_with($name, 'study ') => self::study($name),
            $name === 'z.975' => NormalDistribution::quantile(0.975),
            $name === 'P(z < 1.96)' => NormalDistribution::cumulative(1.96),
            $name === 'GUM 4.4.3 mean' => array_sum(self::TEMPERATURES) / count(self::TEMPERATURES),
            $name === 'GUM 4.4.3 s' => SampleDeviation::of(self::TEMPERATURES),
            $name === 'GUM G.4 freedom' => WelchSatterthwaite::freedom([
                ['u' => 0.25, 'freedom' => 9.0],
                ['u' => 0.57, 'freedom' => 4.0],
                ['u' => 0.82, 'freedom' => 14.0],
            ]),
            $name === 'GUM H.1 combined' => hypot(hypot(25.0, 9.7), hypot(2.9, 16.6)),
            $name === 'GUM H.1 t.99' => StudentDistribution::coverageFactor(
                0.99,
                (int) floor(WelchSatterthwaite::freedom([
                    ['u' => 25.0, 'freedom' => 18.0],
                    ['u' => 9.7, 'freedom' => 25.6],
                    ['u' => 2.9, 'freedom' => 50.0],
                    ['u' => 16.6, 'freedom' => 2.0],
                ])),
            ),
            $name === 'Zener diode' => Conformity::chanceInside(10.0, Spread::of(0.1), SpecBand::between(null, 10.14)),
            str_starts_with($name, 'guard band, u ') => Conformity::acceptance(
                SpecBand::between(9.0, 11.0),
                Spread::of((float) substr($name, 14)),
                DecisionRule::Guarded,
            )[0]
                ?? 0.0,
            str_starts_with($name, 'NoInt'), str_starts_with($name, 'wear, weighted') => self::line($name),
            str_starts_with($name, 'wear, ') => self::bound($name),
            str_starts_with($name, 'Bayes, ') => self::bayes($name),
            $name === 'chance after a move' => self::chanceAfterAMove(0.10),
            $name === 'chance after a move, drawn' => self::chanceAfterAMove(0.30),
            default => QuantityReader::defaultingTo(Unit::Millimetre)->read($name)->value,
        };
    }

    /** Four people, six pieces, three readings each, by the formula that R has them from. */
    private static function study(string $name): float
    {
        $readings = [];
        foreach (range(1, 4) as $o) {
            foreach (range(1, 6) as $p) {
                foreach (range(1, 3) as $r) {
                    $noise = sin(12.9898 * ($r + 3 * $p + 18 * $o)) * 43758.5453;
                    $readings["person {$o}"]["piece {$p}"][] = $noise
                        - floor($noise)
                        + 0.8 * $p
                        + 0.3 * $o
                        + (str_ends_with($name, 'together') ? 2.0 : 0.0) * sin($o * $p);
                }
            }
        }
        $study = GaugeStudy::of($readings);

        return match (true) {
            str_starts_with($name, 'study repeats') => $study->repeat,
            str_starts_with($name, 'study hands') => $study->between,
            str_starts_with($name, 'study pieces') => $study->pieces,
            default => $study->chanceOfNoInteraction,
        };
    }

    /** A level known to 0.4 and read four times to 0.3: the same weighing as two readings of one stretch. */
    private static function bayes(string $name): float
    {
        $play = TaughtPlay::startingFrom(RatioPrior::of(0.0, 1e-6), 0.0)->given(2.5, 0.4);
        self::assertInstanceOf(TaughtPlay::class, $play);
        $play = $play->given(2.9, 0.3 / sqrt(4));
        self::assertInstanceOf(TaughtPlay::class, $play);

        return match ($name) {
            'Bayes, mean' => $play->expected(0.0),
            'Bayes, deviation' => $play->deviation(0.0, 0.0),
            default => 1 - $play->chanceBetween(-INF, 3.0, 0.0, 0.0),
        };
    }

    private static function chanceAfterAMove(float $spread): float
    {
        $play = TaughtPlay::startingFrom(RatioPrior::of(log(132 / 38), $spread), 0.0)->given(25.3, 0.25);
        self::assertInstanceOf(TaughtPlay::class, $play);

        return $play->chanceBetween(10.4, 19.6, -2.5, 0.3);
    }

    /** R integrates without a grid; ours has 61 nodes, each smoothed over its cell. */
    private static function gridOf(string $name): float
    {
        return str_starts_with($name, 'chance after a move') ? 1e-3 : 0.0;
    }
}
