<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Practice\PulledLever;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Quantity\ForceStyle;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Units;
use VividPull\Core\Wire\TraceFile;

/** A trace from a file or typed: taken whole, or refused with each line that is wrong. */
final class TraceFileTest extends TestCase
{
    private const GOOD = "travel_mm,force_n,direction\n0,1,pull\n1,1.1,pull\n2,1.2,pull\n3,4,pull\n4,7,pull\n5,10,pull\n6,13,pull\n7,16,pull\n8,19,pull\n7,12,release\n6,9,release\n5,7,release\n4,5,release\n3,3,release\n2,1,release\n1,0.9,release\n0,0.8,release\n";

    public function test_a_file_is_taken_with_both_ways_as_they_came(): void
    {
        $read = TraceFile::read(self::GOOD);

        self::assertSame([[], 17], [$read->problems, $read->points]);
        self::assertSame([0.0, 1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0], $read->trace?->pull->travel);
        self::assertSame([12.0, 9.0, 7.0, 5.0, 3.0, 1.0, 0.9, 0.8], $read->trace->release?->force);
    }

    /** @return iterable<string, array{string}> */
    public static function sameTrace(): iterable
    {
        yield 'with a byte-order mark and the ends of lines of Windows' => [
            "\u{FEFF}".strtr(self::GOOD, ["\n" => "\r\n"]),
        ];
        yield 'in other columns and capitals' => [(string) preg_replace(
            '/^(\S+?),(\S+?),(\S+)$/m',
            '$3,$2,$1',
            strtr(self::GOOD, ['travel_mm' => 'Travel_MM', 'pull' => 'Pull']),
        )];
        yield 'parted by semicolons with commas as decimal marks' => [strtr(self::GOOD, [',' => ';', '.' => ','])];
        yield 'quoted' => [(string) preg_replace('/([^,\n]+)/', '"$1"', self::GOOD)];
        yield 'in inches and pounds' => [implode("\n", array_map(static function (string $line): string {
            [$travel, $force, $way] = explode(',', $line);

            return is_numeric($travel)
                ? sprintf('%.8f,%.8f,%s', (float) $travel / 25.4, (float) $force / 4.4482216152605, $way)
                : 'travel_in,force_lbf,direction';
        }, explode("\n", trim(self::GOOD))))];
        yield 'without a direction: it turns at the farthest' => [(string) preg_replace(
            '/,(?:direction|pull|release)$/m',
            '',
            self::GOOD,
        )];
        yield 'typed, a point a line' => [strtr(
            (string) preg_replace(['/^travel.*\n/', '/,(?:pull|release)$/m'], '', self::GOOD),
            [',' => ' '],
        )];
        yield 'typed with units' => [(string) preg_replace(
            ['/^travel.*\n/', '/,(?:pull|release)$/m', '/^([^,\n]+),([^,\n]+)$/m'],
            ['', '', '$1 mm $2 N'],
            self::GOOD,
        )];
        yield 'typed with back between' => [strtr(
            (string) preg_replace(
                ['/^travel.*\n/', '/,(?:pull|release)$/m', '/^7,12$/m'],
                ['', '', "back\n7,12"],
                self::GOOD,
            ),
            [',' => '; '],
        )];
    }

    #[DataProvider('sameTrace')]
    public function test_it_is_the_same_trace_however_it_is_written(string $text): void
    {
        [$good, $read] = [TraceFile::read(self::GOOD), TraceFile::read($text)];

        self::assertSame([], $read->problems);
        self::assertEqualsWithDelta($good->trace?->pull->travel, $read->trace?->pull->travel, 1e-6);
        self::assertEqualsWithDelta($good->trace?->pull->force, $read->trace?->pull->force, 1e-6);
        self::assertEqualsWithDelta($good->trace?->release?->force, $read->trace?->release?->force, 1e-6);
    }

    public function test_typed_points_are_in_the_units_of_who_types_them(): void
    {
        $typed = implode("\n", array_map(static fn (int $n): string => 0.1 * $n.' '.(0.2 * $n + 0.1), range(0, 9)));
        $read = Spoken::in(
            new Units(LengthStyle::DecimalInches, ForceStyle::PoundFeet),
            static fn (): TraceFile => TraceFile::read($typed),
        );

        self::assertEqualsWithDelta(0.9 * 25.4, $read->trace?->pull->travel[9] ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(1.9 * 4.4482216152605, $read->trace?->pull->force[9] ?? 0.0, 1e-6);
    }

    public function test_times_become_travel_as_of_a_steady_hand_once_it_is_said_how_far(): void
    {
        $timed = "time_s,force_n\n"
            .implode(
                "\n",
                array_map(
                    static fn (int $n): string => (0.5 + 0.1 * $n).','.($n <= 20 ? 1 + $n : 41 - $n - 5),
                    range(0, 40),
                ),
            );
        $read = TraceFile::read($timed);

        self::assertSame([[], 41], [$read->problems, $read->points]);
        self::assertStringStartsWith("time_s,force_n,direction\n0.5,1,pull\n", $read->kept);
        $trace = TraceFile::kept($read->kept, 60.0);
        self::assertTrue($trace->isSteady);
        self::assertEqualsWithDelta(
            [0.0, 3.0, 60.0],
            [$trace->pull->travel[0], $trace->pull->travel[1], $trace->pull->travel[20]],
            1e-9,
            'it turns where it is heaviest',
        );
        self::assertEqualsWithDelta([60.0, 0.0], [$trace->release?->travel[0], $trace->release?->travel[19]], 1e-9);
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('Say how far it was pulled.');
        TraceFile::kept($read->kept);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function bad(): iterable
    {
        $row = static fn (string $line, string $by): string => strtr(self::GOOD, ["\n{$line}\n" => "\n{$by}\n"]);
        yield 'a word for a force' => [$row('3,4,pull', '3,four,pull'), ['Line 5: “four” is no force.']];
        yield 'two bad lines, both named' => [
            strtr($row('3,4,pull', 'x,4,pull'), ["6,9,release\n" => "6,9,sideways\n"]),
            ['Line 5: “x” is no travel.', 'Line 12: the direction is pull or release, not “sideways”.'],
        ];
        yield 'a cell too few' => [$row('3,4,pull', '3,4'), ['Line 5: it has 2 cells, and the heading has 3.']];
        yield 'no number that is finite' => [
            $row('3,4,pull', '3,1e999,pull'),
            ['Line 5: a force of “1e999” is beyond what any control here has.'],
        ];
        yield 'an empty cell' => [$row('3,4,pull', '3,,pull'), ['Line 5: “” is no force.']];
        yield 'another heading' => [
            "travel_mm,force_kg\n1,2\n",
            [
                'Line 1: “force_kg” is not a column of a trace, or stands twice. They are travel_mm (or travel_in, or time_s), force_n (or force_lbf, or force_kgf) and direction.',
            ],
        ];
        yield 'a heading twice' => [
            "travel_mm,travel_in,force_n\n1,2,3\n",
            [
                'Line 1: “travel_in” is not a column of a trace, or stands twice. They are travel_mm (or travel_in, or time_s), force_n (or force_lbf, or force_kgf) and direction.',
            ],
        ];
        yield 'no force at all' => [
            "travel_mm,direction\n1,pull\n",
            ['Line 1: the heading has to name travel_mm or time_s, and force_n, and may name direction.'],
        ];
        yield 'only the way back' => [
            strtr(self::GOOD, ['pull' => 'release']),
            ['There is no point of the pull in it.'],
        ];
        yield 'too few points' => [
            "0 1\n1 2\n2 3\n",
            ['The pull has points at 3 places of its travel, and a curve is read from 8 at least.'],
        ];
        yield 'units the wrong way round' => [
            "0 mm 1 N\n31 N 5 mm\n",
            ['Line 2: “31 N 5 mm” is no travel and force: type a length and a force, such as 12.5 mm 31 N.'],
        ];
        yield 'typed words' => ["0 1\nabout two 3\n", ['Line 2: type the travel and the force, such as 12.5 31.']];
        yield 'a push instead of a pull' => [
            (string) preg_replace('/^(\d),([\d.]+)/m', '$1,-$2', self::GOOD),
            ['No force of the pull is above zero. Turn the gauge round, or take its sign off.'],
        ];
        yield 'travel and time at once' => [
            "travel_mm,time_s,force_n\n1,2,3\n",
            [
                'Line 1: “time_s” is not a column of a trace, or stands twice. They are travel_mm (or travel_in, or time_s), force_n (or force_lbf, or force_kgf) and direction.',
            ],
        ];
        yield 'a pull that is over at once' => [
            "time_s,force_n\n"
                .implode("\n", array_map(static fn (int $n): string => (0.001 * $n).",{$n}", range(0, 20)))."\n",
            ['The pull, or the way back, is over at once. Is the time in s?'],
        ];
        yield 'no text' => ["\xff\xfe\x00", ['The file holds characters that are no text. Save it as CSV in UTF-8.']];
        yield 'nothing' => ['', ['There is no point of the pull in it.']];
    }

    /** @param  list<string>  $problems */
    #[DataProvider('bad')]
    public function test_every_line_that_cannot_be_taken_is_named_and_nothing_is_kept(
        string $text,
        array $problems,
    ): void {
        $read = TraceFile::read($text);

        self::assertSame([null, $problems], [$read->trace, $read->problems]);
    }

    public function test_of_very_many_bad_lines_some_are_told_and_the_rest_named(): void
    {
        $read = TraceFile::read("travel_mm,force_n\n".str_repeat("a,b\n", 50));

        self::assertCount(21, $read->problems);
        self::assertSame('Nor can these: lines 22 to 51.', $read->problems[20]);
        $some = TraceFile::read("travel_mm,force_n\n".str_repeat("a,b\n", 20).str_repeat("a,b\n1,2\na,b\n", 2));
        self::assertSame('Nor can these: line 22, lines 24 to 25, line 27.', $some->problems[20]);
    }

    public function test_the_examples_that_are_shipped_are_taken(): void
    {
        foreach (['clutch-lever', 'wrong-spline'] as $name) {
            self::assertSame(
                800,
                TraceFile::read((string) file_get_contents(
                    __DIR__."/../../../docs/formats/examples/traces/{$name}.csv",
                ))->points,
            );
        }
    }

    public function test_what_was_written_is_read_again_as_it_was(): void
    {
        $trace = TraceFile::read(self::GOOD)->trace ?? self::fail('It is taken.');

        self::assertEquals($trace, TraceFile::kept(TraceFile::csv($trace)));
        self::assertNull(
            TraceFile::kept(
                "travel_mm,force_n,direction\n"
                    .implode("\n", array_map(static fn (int $n): string => "{$n},{$n}.5,pull", range(0, 9))),
            )->release,
        );
    }

    public function test_a_hundred_thousand_points_are_taken(): void
    {
        $chance = new SeededChance(3);
        $trace = PulledLever::drawn($chance)->pulled($chance, 50_000);
        $lines = ['travel_mm,force_n,direction'];
        foreach (['pull' => $trace->pull, 'release' => $trace->release ?? $trace->pull] as $way => $branch) {
            foreach ($branch->travel as $place => $mm) {
                $lines[] = sprintf('%.4F,%.3F,%s', $mm, $branch->force[$place], $way);
            }
        }

        self::assertSame(100_000, TraceFile::read(implode("\n", $lines))->points);
    }
}
