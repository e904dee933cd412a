<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Gauge;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Gauge\GaugeRecording;
use VividPull\Core\Gauge\GaugeSettings;
use VividPull\Core\Practice\PulledLever;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Wire\TraceFile;

/** A pull that a force gauge recorded: lines with their times into force over time, or a sentence that says why not. */
final class GaugeRecordingTest extends TestCase
{
    public function test_lines_become_force_over_time_from_the_first_of_them(): void
    {
        $read = GaugeRecording::of(self::lines(static fn (int $n): string => 'US,+'.$n.'.5 lb'), new GaugeSettings);
        self::assertSame(0.0, $read->seconds[0]);
        self::assertEqualsWithDelta(1.16, $read->lasted(), 1e-12);
        // The pound-force by the standard pound and standard gravity (NIST SP 811, appendix B): 4.448 221 615 260 5 N.
        self::assertEqualsWithDelta(29.5 * 4.4482216152605, $read->heaviest(), 1e-9);
        self::assertStringStartsWith("time_s,force_n\n0,2.224111\n0.04,", $read->csv());
    }

    public function test_a_spoilt_line_is_left_out_and_counted(): void
    {
        $lines = self::lines(static fn (int $n): string => $n === 7 ? '+0' : "{$n} N", 60);
        $read = GaugeRecording::of($lines, new GaugeSettings);
        self::assertSame([1, 59], [$read->spoilt, count($read->newtons)]);
        self::assertNotContains(0.28, $read->seconds);
    }

    public function test_of_two_lines_at_once_one_is_kept_and_none_is_called_spoilt(): void
    {
        $lines = array_map(static fn (int $n): array => [intdiv($n, 2) * 10, "{$n} N"], range(0, 79));
        $read = GaugeRecording::of($lines, new GaugeSettings);
        self::assertSame([0, 40], [$read->spoilt, count($read->newtons)]);
    }

    /** @return iterable<string, array{list<array{int, string}>, string}> */
    public static function none(): iterable
    {
        yield 'too few' => [
            self::lines(static fn (int $n): string => "{$n} N", 19),
            'It recorded 19 forces, and a pull is read from 20 at least.',
        ];
        yield 'a length' => [
            self::lines(static fn (int $n): string => "{$n} mm"),
            'It recorded 0 mm, which is no force.',
        ];
        yield 'one in ten spoilt' => [
            self::lines(static fn (int $n): string => $n % 10 === 0 ? 'q$4' : "{$n} N", 60),
            'is not known',
        ];
        yield 'without a unit' => [self::lines(static fn (int $n): string => (string) $n), 'without a unit'];
        yield 'nothing' => [[], 'It recorded 0 forces'];
    }

    /** @param  list<array{int, string}>  $lines */
    #[DataProvider('none')]
    public function test_what_is_none_is_said(array $lines, string $says): void
    {
        $this->expectException(NotUnderstood::class);
        $this->expectExceptionMessage($says);
        GaugeRecording::of($lines, new GaugeSettings);
    }

    /** What is sent is a pull again: on forty levers of known friction, its loop gives that friction back. */
    public function test_a_recorded_pull_is_read_as_the_pull_it_was(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $lever = PulledLever::drawn(new SeededChance($seed));
            $chance = new SeededChance(1000 + $seed);
            $lines = self::lines(
                static fn (int $n): string => sprintf(
                    '%+.2f',
                    max(0.0, $lever->forceAt($n / 100) + 0.05 * $chance->normal()),
                ),
                201,
                20,
            );
            $file = TraceFile::read(GaugeRecording::of($lines, new GaugeSettings(Unit::Newton))->csv());
            self::assertSame([], $file->problems);
            $reach = $lever->breaks[count($lever->breaks) - 1][0];
            $trace = TraceFile::kept($file->kept, $reach);
            self::assertTrue($trace->isSteady);
            self::assertEqualsWithDelta(
                $lever->efficiency,
                sqrt(self::loop($trace->release->force ?? []) / self::loop($trace->pull->force)),
                0.03,
                "lever {$seed}",
            );
        }
    }

    /** @param  list<float>  $forces */
    private static function loop(array $forces): float
    {
        return array_sum($forces) / max(1, count($forces));
    }

    /**
     * @param  callable(int): string  $line
     * @return list<array{int, string}>
     */
    private static function lines(callable $line, int $count = 30, int $apart = 40): array
    {
        return array_map(static fn (int $n): array => [$n * $apart, $line($n)], range(0, $count - 1));
    }
}
