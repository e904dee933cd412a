<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Unit;

final class QuantityReaderTest extends TestCase
{
    /** @return iterable<string, array{string, float}> */
    public static function lengths(): iterable
    {
        yield 'a bare number is in the default unit' => ['4', 4.0];
        yield 'a unit may touch the number' => ['4.2mm', 4.2];
        yield 'a comma is a decimal mark' => ['4,2', 4.2];
        yield 'a bare fraction is inches' => ['3/32', 25.4 * 3 / 32];
        yield 'a mixed number' => ['1 1/16 in', 25.4 * 17 / 16];
        yield 'a mixed number with a dash' => ['1-1/16 in', 25.4 * 17 / 16];
        yield 'the inch mark' => ['1/16"', 25.4 / 16];
        yield 'the typographic inch mark' => ['1/16″', 25.4 / 16];
        yield 'decimal inches' => ['0.157"', 25.4 * 157 / 1000];
        yield 'no digit before the mark' => ['.5 in', 12.7];
        yield 'a vulgar half' => ['2½ in', 63.5];
        yield 'centimetres' => ['1.2 cm', 12.0];
        yield 'spaces anywhere' => ["  4.2 \t mm ", 4.2];
        yield 'a fraction of a millimetre, when it says so' => ['1/2 mm', 0.5];
        yield 'more than a whole inch, when it says so' => ['5/4 in', 31.75];
        yield 'tenths of an inch, when it says so' => ['3/10 in', 7.62];
        yield 'zero is a size' => ['0', 0.0];
        foreach ([
            '⅛' => 1 / 8, '⅜' => 3 / 8, '⅝' => 5 / 8, '⅞' => 7 / 8, '⅓ in' => 1 / 3, '⅔ in' => 2 / 3, '1⅛' => 9 / 8,
            '1 ⅝ in' => 13 / 8,
        ] as $text => $inches) {
            yield "a vulgar fraction: {$text}" => [$text, 25.4 * $inches];
        }
        yield 'a dash without spaces joins' => ['1-1/16', 25.4 * 17 / 16];
        yield 'a dash with spaces joins' => ['1 - 1/16', 25.4 * 17 / 16];
        yield 'and joins' => ['1 and 1/16', 25.4 * 17 / 16];
        yield 'half an inch in words' => ['half inch', 12.7];
        yield 'half an inch in more words' => ['half an inch', 12.7];
        yield 'a sixteenth is of an inch' => ['a sixteenth', 25.4 / 16];
        yield 'sixteenths in words' => ['three sixteenths', 25.4 * 3 / 16];
        yield 'a quarter inch is no coin' => ['a quarter inch', 25.4 / 4];
        yield 'words with a whole number' => ['one and a half inches', 38.1];
        yield 'two primes are inches' => ["1/2''", 12.7];
        yield 'thousandths' => ['62 thou', 62 * 0.0254];
        yield 'mils' => ['62 mil', 62 * 0.0254];
        yield 'a full stop behind the unit' => ['4 mm.', 4.0];
        yield 'a byte-order mark before it' => ["\u{FEFF}4.2 mm", 4.2];
        yield 'a range is kept as its middle' => ['3 to 4', 3.5];
        yield 'a range with a dash' => ['3-4 mm', 3.5];
        yield 'a range of fractions' => ['1/8 - 1/4 in', 25.4 * 3 / 16];
        yield 'roughly' => ['about 1/2', 12.7];
        yield 'a size and how far it may be off' => ['9.6 ± 0.3', 9.6];
        yield 'the same typed without the sign for it' => ['9.6 +/- 0.3 mm', 9.6];
        yield 'the same in inches' => ['0.38 +- 0.01 in', 0.38 * 25.4];
    }

    public function test_how_far_a_size_may_be_off_is_kept_as_a_range_is(): void
    {
        $reader = QuantityReader::defaultingTo(Unit::Millimetre);

        self::assertEqualsWithDelta(
            $reader->read('9.3 to 9.9')->coarseness,
            $reader->read('9.6 ± 0.3')->coarseness,
            1e-12,
        );
        $this->expectException(NotUnderstood::class);
        $this->expectExceptionMessage('Type the size alone');
        $reader->read('9.6 ± 0');
    }

    #[DataProvider('lengths')]
    public function test_lengths_are_read_as_people_write_them(string $text, float $mm): void
    {
        $read = QuantityReader::defaultingTo(Unit::Millimetre)->read($text);
        self::assertSame(Dimension::Length, $read->dimension);
        self::assertEqualsWithDelta($mm, $read->value, 1e-12 * max(1.0, $mm));
        self::assertSame(
            trim((string) preg_replace('/\s+/', ' ', strtr($text, ["\u{FEFF}" => '']))),
            $read->entered,
            'as it was typed',
        );
    }

    public function test_a_fraction_taken_as_inches_is_said_aloud(): void
    {
        $reader = QuantityReader::defaultingTo(Unit::Millimetre);
        self::assertSame('A fraction without a unit was taken as inches.', $reader->read('3/32')->assumed);
        self::assertNull($reader->read('3/32 in')->assumed);
    }

    public function test_the_written_step_tells_how_fine_the_person_wrote(): void
    {
        $reader = QuantityReader::defaultingTo(Unit::Millimetre);
        self::assertEqualsWithDelta(0.1, $reader->read('4.2')->writtenStep, 1e-15);
        self::assertEqualsWithDelta(25.4 / 32, $reader->read('3/32')->writtenStep, 1e-15);
        self::assertEqualsWithDelta(1.0, $reader->read('4')->writtenStep, 1e-15);
    }

    /** @return iterable<string, array{string, float}> */
    public static function coarser(): iterable
    {
        yield 'half an inch is half an inch' => ['1/2 in', 0.0];
        yield 'a 32nd is as fine as the rule' => ['17/32 in', 0.0];
        yield 'a decimal says nothing of the scale' => ['0.5 in', 0.0];
        yield 'four eighths were read in eighths' => ['4/8', 25.4 / 8];
        yield 'about a half is known to a quarter either side of nothing' => ['about 1/2 in', 25.4 / 4];
        yield 'about 4 mm is known to its last digit' => ['about 4 mm', 1.0];
        yield 'a range is known to its width' => ['3 to 4 mm', 1.0];
    }

    #[DataProvider('coarser')]
    public function test_only_what_was_written_coarser_than_it_was_read_widens_it(string $text, float $mm): void
    {
        self::assertEqualsWithDelta(
            $mm,
            QuantityReader::defaultingTo(Unit::Millimetre)->read($text)->coarseness,
            1e-12,
        );
    }

    /** @return iterable<string, array{string, float, Dimension}> */
    public static function others(): iterable
    {
        yield 'inch pounds with a space' => ['20 in lb', 20 * 0.1129848290276167, Dimension::Torque];
        yield 'inch pounds with stops' => ['20 in. lbs.', 20 * 0.1129848290276167, Dimension::Torque];
        yield 'newton metres with a stop' => ['2 N.m', 2.0, Dimension::Torque];
        yield 'foot pounds with stops' => ['3 ft. lbs.', 3 * 1.3558179483314004, Dimension::Torque];
        yield 'pounds are a force on a lever' => ['6 pounds', 6 * 4.4482216152605, Dimension::Force];
    }

    #[DataProvider('others')]
    public function test_torques_and_forces_are_read_as_people_write_them(
        string $text,
        float $value,
        Dimension $dimension,
    ): void {
        $read = QuantityReader::defaultingTo(Unit::Millimetre)->read($text);
        self::assertSame($dimension, $read->dimension);
        self::assertEqualsWithDelta($value, $read->value, 1e-9);
    }

    public function test_a_job_in_inches_reads_bare_numbers_as_inches(): void
    {
        self::assertEqualsWithDelta(25.4, QuantityReader::defaultingTo(Unit::Inch)->read('1')->value, 1e-15);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'two decimal marks' => [
            '12,,5',
            '“12,,5” is not a number I can read. Type it as 4, 4.2, 4,2, 3/32 or 1 1/16.',
        ];
        yield 'nothing over nothing' => [
            '3/0 in',
            '“3/0” has 0 below the line, which is no size. Type the fraction again, such as 3/32 in.',
        ];
        foreach ([
            '10/11' => '10/11', '15 / 14' => '15 / 14', '16/16' => '16/16', '2/3' => '2/3', '⅓' => '1/3',
            'about 9/10' => '9/10', '10/11 to 11/12' => '11/12', '1/4 ± 5/4' => '5/4',
        ] as $two => $said) {
            yield "two readings, or no fraction of a rule: {$two}" => [
                $two,
                "Read {$said}, but a rule in inches shows no such fraction. Type two readings one after the other; if it is inches, write in behind it.",
            ];
        }
        yield 'millimetres so fine as nobody reads them' => [
            '3/32 mm',
            'Read 3/32 mm, but nobody reads a millimetre so finely. Type 3/32 in, or the millimetres with a decimal mark.',
        ];
        yield 'no number' => [
            'abc',
            '“abc” has no number in it. Type a value and a unit, such as 4.2 mm or 3/32 in, or a coin: nickel, quarter, dime, cent.',
        ];
        yield 'nothing' => ['', 'Nothing was typed. Type a reading, such as 25.3, and press Enter.'];
        yield 'only spaces' => ['   ', 'Nothing was typed. Type a reading, such as 25.3, and press Enter.'];
        yield 'below zero' => ['-3', 'Read -3, but a measured size has no sign. Type it without the sign.'];
        yield 'a gauge with a sign' => [
            '+4.20',
            'Read +4.20, but a measured size has no sign. Type it without the sign.',
        ];
        yield 'a unit nobody listed' => [
            '4 furlong',
            'Read 4, but “furlong” is not a unit I know. Use mm, cm, in, thou, N, lbf, kgf, N·m, lbf·ft, lbf·in, deg, km, mi, s, km/h or mph.',
        ];
        yield 'a coin or a part of an inch' => [
            'a quarter',
            'Read a quarter, which may be the coin or a quarter of an inch. Type quarter for the coin, or 1/4 in.',
        ];
        yield 'a range the wrong way round' => [
            '4 to 3',
            'Read 4 to 3 as a range, but 3 is not above 4. Type the smaller one first.',
        ];
        yield 'a range in two units' => [
            '3 mm to 1/4 in',
            'Read 3 mm to 1/4 in as a range, but its two ends are in two units. Type both in one.',
        ];
        yield 'two dots' => ['1.2.3', '“1.2.3” is not a number I can read. Type it as 4, 4.2, 4,2, 3/32 or 1 1/16.'];
        yield 'an exponent' => [
            '1e5',
            'Read 1, but “e5” is not a unit I know. Use mm, cm, in, thou, N, lbf, kgf, N·m, lbf·ft, lbf·in, deg, km, mi, s, km/h or mph.',
        ];
    }

    #[DataProvider('refused')]
    public function test_what_is_not_understood_gets_a_sentence(string $text, string $sentence): void
    {
        $this->expectExceptionObject(NotUnderstood::line($sentence));
        QuantityReader::defaultingTo(Unit::Millimetre)->read($text);
    }

    public function test_a_page_of_text_is_refused_without_being_repeated(): void
    {
        try {
            QuantityReader::defaultingTo(Unit::Millimetre)->read(str_repeat('9', 10_000));
            self::fail('It was read.');
        } catch (NotUnderstood $refused) {
            self::assertLessThan(200, strlen($refused->getMessage()));
            self::assertStringContainsString('10000', str_replace([',', ' '], '', $refused->getMessage()));
        }
    }

    public function test_bytes_that_are_no_text_are_refused(): void
    {
        $this->expectException(NotUnderstood::class);
        QuantityReader::defaultingTo(Unit::Millimetre)->read("4\xff mm");
    }

    public function test_text_to_quantity_and_back_keeps_the_value(): void
    {
        $seed = 20_260_301;
        $chance = new Randomizer(new Mt19937($seed));
        $reader = QuantityReader::defaultingTo(Unit::Millimetre);
        for ($i = 0; $i < 500; $i++) {
            $below = 2 ** $chance->getInt(1, 6);
            $top = $chance->getInt(1, 400);
            $read = $reader->read("{$top}/{$below} in");
            $again = $reader->read(number_format($read->value, 6, '.', '').' mm');
            self::assertEqualsWithDelta(
                25.4 * $top / $below,
                $again->value,
                1e-6,
                "seed {$seed}, case {$i}: {$top}/{$below} in",
            );
        }
    }

    public function test_random_bytes_never_break_the_reader(): void
    {
        $seed = 11;
        $chance = new Randomizer(new Mt19937($seed));
        $reader = QuantityReader::defaultingTo(Unit::Millimetre);
        $letters = [
            'half', ' to ', 'about ', 'a ', '⅛', '1', '0', '9', '/', '.', ',', ' ', '-', '+', 'i', 'n', 'm', '"', '½',
            'é', '٣', "\xff", "\t",
        ];
        $answered = 0;
        for ($i = 0; $i < 3000; $i++) {
            $text = '';
            for ($n = $chance->getInt(0, 9); $n >= 0; $n--) {
                $text .= $letters[$chance->getInt(0, count($letters) - 1)];
            }
            try {
                self::assertGreaterThanOrEqual(0.0, $reader->read($text)->value, "seed {$seed}, case {$i}");
            } catch (NotUnderstood $refused) {
                self::assertTrue(mb_check_encoding($refused->getMessage(), 'UTF-8'), "seed {$seed}, case {$i}");
                self::assertStringEndsWith('.', $refused->getMessage());
            }
            $answered++;
        }
        self::assertSame(3000, $answered);
    }
}
