<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Measurement;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Measurement\BlockCheck;
use VividPull\Core\Measurement\GaugeStudy;
use VividPull\Core\Tests\Support\Chance;

/** An instrument held against blocks, and in several hands. */
final class GaugeStudyTest extends TestCase
{
    /**
     * Ten parts, three people, three readings each, as published with their analysis of variance: Measurement Systems
     * Analysis, 4th ed., AIAG, table A 3 and its figures (readings and figures from memory).
     */
    public function test_the_published_example(): void
    {
        $study = GaugeStudy::of(json_decode(
            (string) file_get_contents(__DIR__.'/../References/gauge-study.json'),
            true,
            8,
            JSON_THROW_ON_ERROR,
        ));
        self::assertTrue($study->isPooled);
        self::assertSame(78.0, $study->repeatFreedom);
        self::assertEqualsWithDelta(0.199933, $study->repeat, 5e-7, 'equipment variation');
        self::assertEqualsWithDelta(0.226838, $study->between, 5e-7, 'appraiser variation');
        self::assertEqualsWithDelta(0.302373, $study->gauge(), 2e-6);
        self::assertEqualsWithDelta(1.042327, $study->pieces, 5e-7);
        self::assertEqualsWithDelta(0.2786, $study->share(), 5e-5);
    }

    /** Drawn from known spreads, the variances it finds are right on average. */
    public function test_on_average_it_finds_what_was_drawn(): void
    {
        $chance = new Chance(7);
        $sums = ['repeat' => 0.0, 'between' => 0.0, 'pieces' => 0.0];
        for ($n = 0; $n < 600; $n++) {
            $hands = array_map(static fn (): float => 0.4 * $chance->normal(0.0, 1.0), range(1, 6));
            $pieces = array_map(static fn (): float => 2.0 * $chance->normal(0.0, 1.0), range(1, 6));
            $readings = [];
            foreach ($hands as $o => $hand) {
                foreach ($pieces as $p => $piece) {
                    $readings["hand {$o}"]["piece {$p}"] = array_map(
                        static fn (): float => $hand + $piece + 0.25 * $chance->normal(0.0, 1.0),
                        range(1, 3),
                    );
                }
            }
            $study = GaugeStudy::of($readings);
            $sums['repeat'] += $study->repeat ** 2 / 600;
            $sums['between'] += $study->between ** 2 / 600;
            $sums['pieces'] += $study->pieces ** 2 / 600;
        }
        // What is put together with the repeats is what happened to be small: a little is lost.
        self::assertEqualsWithDelta(0.25 ** 2, $sums['repeat'], 0.25 ** 2 * 0.05);
        self::assertEqualsWithDelta(0.4 ** 2, $sums['between'], 0.4 ** 2 * 0.08);
        self::assertEqualsWithDelta(2.0 ** 2, $sums['pieces'], 2.0 ** 2 * 0.08);
    }

    public function test_each_persons_own_repeats_are_told_apart(): void
    {
        $study = GaugeStudy::of([
            'Ines' => ['a' => [1.0, 1.2], 'b' => [2.0, 2.0]],
            'Bo' => ['a' => [1.0, 1.0], 'b' => [2.4, 2.0]],
        ]);
        self::assertEqualsWithDelta(0.02, $study->byPerson['Ines']['squares'], 1e-12);
        self::assertEqualsWithDelta(0.08, $study->byPerson['Bo']['squares'], 1e-12);
        self::assertSame([2, 2], array_column($study->byPerson, 'freedom'));
    }

    public function test_a_study_of_nothing_but_the_same_figure_has_no_spread(): void
    {
        $study = GaugeStudy::of([
            'Ines' => ['a' => [1.0, 1.0], 'b' => [1.0, 1.0]],
            'Bo' => ['a' => [1.0, 1.0], 'b' => [1.0, 1.0]],
        ]);
        self::assertSame([0.0, 0.0, 0.0, 0.0], [$study->repeat, $study->between, $study->pieces, $study->share()]);
    }

    /** @return iterable<string, array{array<string, array<string, list<float>>>, string}> */
    public static function lopsided(): iterable
    {
        yield 'nobody' => [[], 'at least two people'];
        yield 'one person' => [['Ines' => ['a' => [1.0, 1.0], 'b' => [1.0, 1.0]]], 'at least two people'];
        yield 'one piece' => [['Ines' => ['a' => [1.0, 1.0]], 'Bo' => ['a' => [1.0, 1.0]]], 'at least two people'];
        yield 'one reading' => [
            ['Ines' => ['a' => [1.0], 'b' => [1.0]], 'Bo' => ['a' => [1.0], 'b' => [1.0]]],
            'at least two people',
        ];
        yield 'a reading short' => [
            ['Ines' => ['a' => [1.0, 1.0], 'b' => [1.0, 1.0]], 'Bo' => ['a' => [1.0, 1.0], 'b' => [1.0]]],
            'Bo did not',
        ];
        yield 'other pieces' => [
            ['Ines' => ['a' => [1.0, 1.0], 'b' => [1.0, 1.0]], 'Bo' => ['a' => [1.0, 1.0], 'c' => [1.0, 1.0]]],
            'Bo did not',
        ];
    }

    /** @param  array<string, array<string, list<float>>>  $readings */
    #[DataProvider('lopsided')]
    public function test_a_study_that_is_none_is_refused(array $readings, string $says): void
    {
        $this->expectException(Refused::class);
        $this->expectExceptionMessage($says);
        GaugeStudy::of($readings);
    }

    public function test_blocks_tell_how_far_off_it_shows(): void
    {
        $check = BlockCheck::of(
            [['size' => 5.0, 'readings' => [5.01, 5.01, 5.01]], ['size' => 10.0, 'readings' => [9.97, 9.98, 9.96]]],
            0.002,
            0.01,
        );
        self::assertEqualsWithDelta([0.01, -0.03], array_column($check->blocks, 'bias'), 1e-12);
        self::assertEqualsWithDelta(-0.03, $check->worst, 1e-12);
        self::assertEqualsWithDelta(0.01 / sqrt(2), $check->repeat, 1e-12, 'of both blocks together');
        self::assertSame(4, $check->repeatFreedom);
        self::assertEqualsWithDelta(0.03 + 2.0 * sqrt(0.001 ** 2 + 0.00005 / 3 + 0.0001 / 12), $check->expanded, 1e-12);
    }

    /**
     * What it says of an instrument holds for at least as many of its readings as it says: the bias is never taken off.
     */
    public function test_what_a_certificate_would_say_is_enough(): void
    {
        $chance = new Chance(11);
        $held = 0;
        for ($n = 0; $n < 1000; $n++) {
            $bias = 0.02 * $chance->normal(0.0, 1.0);
            $show = static fn (float $size): float => round(
                ($size + $bias + 0.008 * $chance->normal(0.0, 1.0)) / 0.01,
            ) * 0.01;
            $check = BlockCheck::of(
                array_map(
                    static fn (float $size): array => [
                        'size' => $size,
                        'readings' => [$show($size), $show($size), $show($size)],
                    ],
                    [5.0, 12.5, 25.0],
                ),
                0.001,
                0.01,
            );
            $held += abs($bias) <= $check->expanded ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(950, $held);
    }

    public function test_too_few_readings_are_refused(): void
    {
        $this->expectExceptionMessage('Read each block at least three times');
        BlockCheck::of([['size' => 5.0, 'readings' => [5.0, 5.0]]], 0.0, 0.01);
    }

    public function test_no_block_is_refused(): void
    {
        $this->expectExceptionMessage('No block is named');
        BlockCheck::of([], 0.0, 0.01);
    }
}
