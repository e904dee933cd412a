<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\StateCodec;

/** Whatever is done in whatever order, the bench answers, and what it says hangs together. */
final class RandomJobsTest extends TestCase
{
    private const LINES = [
        'ok', 'no', 'yes', 'cold', 'hot', '+1t', '-1t', '+2f', '-5f', '4', '0', '12', '15.5', '25', '19.8', 'nickel',
        '1/2 in', 'v second thoughts', 'thread 3', 'aim loose', 'aim crisp', 'n a note', 'done', 'middle', 'late',
        'fault frayed', 'noted worn', 'tag sticks',
    ];

    /** Moves that were offered over all jobs. */
    private static int $moves = 0;

    public function test_what_the_bench_says_hangs_together(): void
    {
        self::$moves = 0;
        for ($seed = 1; $seed <= 24; $seed++) {
            $chance = new Chance($seed);
            $job = $seed % 2 === 0 ? TestJob::clutch() : TestJob::throttle();
            for ($step = 0; $step < 40; $step++) {
                $line = self::LINES[$chance->whole(0, count(self::LINES) - 1)];
                $pose = $seed % 2 === 0 ? Pose::Straight : Pose::cases()[$chance->whole(0, 2)];
                try {
                    $job->line($line, $chance->whole(0, 1) === 0 ? 'in_band' : null, $pose, $chance->whole(-6, 6) / 6);
                } catch (CoreError) {
                    continue;
                }
                self::holds(StateCodec::encode($job->state), "seed {$seed}, step {$step}: {$line}");
            }
        }
        self::assertGreaterThan(30, self::$moves, 'what is held of a move was held of many');
    }

    /** @param  array<string, mixed>  $state */
    private static function holds(array $state, string $when): void
    {
        foreach ($state['adjusters'] as $adjuster) {
            self::assertTrue(
                $adjuster['at_mm'] === null
                    || ($adjuster['at_mm'] >= -1e-9 && $adjuster['at_mm'] <= $adjuster['travel_mm'] + 1e-9),
                $when,
            );
        }
        foreach ([$state['found'], $state['now'], ...$state['poses']] as $judged) {
            self::assertTrue(
                $judged['chance_inside'] === null
                    || ($judged['chance_inside'] >= 0.0 && $judged['chance_inside'] <= 1.0),
                $when,
            );
            self::assertGreaterThanOrEqual(0.0, $judged['beyond_mm'], $when);
            self::assertSame($judged['mm'] === null, $judged['count'] === 0, $when);
        }
        foreach ($state['next']['options'] as $option) {
            self::assertTrue(
                $option['kind'] === 'out_of_thread' ? $option['steps'] === null : abs($option['steps']) > 1e-9,
                $when,
            );
            self::$moves += $option['kind'] === 'move' ? 1 : 0;
            self::assertTrue(
                $option['low_mm'] === null || ($option['low_mm'] <= $option['high_mm'] && $option['low_mm'] >= 0.0),
                $when,
            );
        }
        self::assertContains(
            $state['asks'] === null ? 'close' : $state['stage'],
            array_column($state['stages'], 'key'),
            $when,
        );
        self::assertSame($state['head'], $state['log'][count($state['log']) - 1]['id'], $when);
        self::assertJson(json_encode($state, JSON_THROW_ON_ERROR), $when);
        $failed = array_filter($state['gates'], static fn (array $gate): bool => $gate['status'] !== 'passed');
        self::assertTrue(
            $failed === [] || $state['closing']['fit'] !== [],
            "{$when}: a gate that has not passed blocks the signature",
        );
    }
}
