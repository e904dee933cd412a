<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Spec;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Spec\PrintedBand;

final class PrintedBandTest extends TestCase
{
    /** @return iterable<string, array{string, float|null, float|null}> */
    public static function bands(): iterable
    {
        yield 'with a dash of print' => ['10–20 mm', 10.0, 20.0];
        yield 'with a hyphen' => ['10-20 mm', 10.0, 20.0];
        yield 'with a word' => ['2 to 6 mm', 2.0, 6.0];
        yield 'decimal comma' => ['0,5–1,6', 0.5, 1.6];
        yield 'a fraction and a whole number' => ['3/8-1 in', 9.525, 25.4];
        yield 'two fractions' => ['1/16–1/8 in', 25.4 / 16, 25.4 / 8];
        yield 'both with their unit' => ['1/16 in to 1/8 in', 25.4 / 16, 25.4 / 8];
        yield 'a mixed number' => ['3/4–1 1/4 in', 19.05, 31.75];
        yield 'one-sided, most' => ['up to 1/16 in', null, 25.4 / 16];
        yield 'one-sided, least' => ['at least 2 mm', 2.0, null];
        yield 'a hyphen with gaps, in two units' => ['10 - 20 mm (0.39 - 0.79 in)', 10.0, 20.0];
        yield 'decimals of an inch' => ['0.12 - 0.20 in.', 3.048, 5.08];
        yield 'fractions with gaps' => ['1/8 - 1/4 inch', 3.175, 6.35];
        yield 'from zero, in words' => ['zero to 1/16', 0.0, 1.5875];
        yield 'from zero, with a hyphen' => ['0-1/16"', 0.0, 1.5875];
        yield 'what it may differ' => ['2.0 ± 0.5 mm', 1.5, 2.5];
        yield 'what it may differ, typed' => ['2.0 +/- 0.5 mm', 1.5, 2.5];
        yield 'what it may differ, after its unit' => ['12 mm ± 2', 10.0, 14.0];
        yield 'what it may differ, in two units' => ['6 ± 1 mm (0.24 ± 0.04 in)', 5.0, 7.0];
        yield 'mixed numbers with a hyphen' => ['1-1/16 to 1-1/4 in', 26.9875, 31.75];
        yield 'a hyphen that does not break' => ["10\u{2011}20 mm", 10.0, 20.0];
        yield 'a sign of minus' => ["10\u{2212}20 mm", 10.0, 20.0];
        yield 'a wave' => ['10～20 mm', 10.0, 20.0];
        yield 'between' => ['between 2 and 3 mm', 2.0, 3.0];
        yield 'from and to' => ['from 2 to 3 mm', 2.0, 3.0];
        yield 'square brackets' => ['10 to 20 mm [0.39 to 0.79 in]', 10.0, 20.0];
        yield 'a stroke between units' => ['10-20mm / 0.39-0.79in', 10.0, 20.0];
        yield 'one-sided, after' => ['2 mm max.', null, 2.0];
        yield 'one-sided, by a sign' => ['≥ 2 mm', 2.0, null];
        yield 'one-sided, no more' => ['no more than 2 mm', null, 2.0];
        yield 'one-sided, or more' => ['5 mm or more', 5.0, null];
        // 1.95 mm (United States Mint, from memory), known to 0.15 mm either way (ours).
        yield 'a coin' => ['a nickel', 1.8, 2.1];
        yield 'a coin by its thickness' => ['the thickness of a quarter', 1.6, 1.9];
        yield 'more to one side' => ['3 +1/-0 mm', 3.0, 4.0];
        yield 'more to one side, with a sign of minus' => ["3.0 +1.0/\u{2212}0.5 mm", 2.5, 4.0];
        yield 'more to one side, in brackets' => ['3 mm (+1, -0.5)', 2.5, 4.0];
        yield 'more to one side, its unit after' => ['3 (+1, -0) mm', 3.0, 4.0];
        yield 'more to one side, with gaps' => ['3 +1 -0 mm', 3.0, 4.0];
        yield 'more to one side, of an inch' => ['1/4 +1/16/-0 in', 6.35, 7.9375];
        yield 'what it may differ, in words' => ['1/4 inch plus or minus 1/16', 4.7625, 7.9375];
        yield 'one-sided, by two signs' => ['<= 3 mm', null, 3.0];
        yield 'with what it is called' => ['Free play: 10–15 mm (0.4–0.6 in)', 10.0, 15.0];
        yield 'with what it is called, in a line' => ['Clutch lever free play 10-15 mm', 10.0, 15.0];
        yield 'one-sided, with what it is called' => ['Play at most 2 mm', null, 2.0];
        yield 'none to a little, called play' => ['no play to 1/16 in', 0.0, 1.5875];
        yield 'thin, with its unit' => ['0.1–0.2 mm', 0.1, 0.2];
        yield 'printed in two units' => ['3–5 mm (1/8–3/16 in)', 3.0, 5.0];
    }

    #[DataProvider('bands')]
    public function test_a_band_is_read_as_it_is_printed(string $text, ?float $low, ?float $high): void
    {
        $read = PrintedBand::read($text);

        self::assertEqualsWithDelta([$low, $high], [$read->band->low, $read->band->high], 1e-12);
        self::assertSame([], $read->disagreements);
    }

    public function test_two_units_that_mean_two_things_are_told(): void
    {
        // The top of this figure is common in print and wrong: 20 mm is not 1 in.
        self::assertSame(
            ['“20 mm” beside “1 in”: 20 mm is about 25/32 in.'],
            PrintedBand::read('10–20 mm (3/8–1 in)')->disagreements,
        );
    }

    public function test_an_inch_is_answered_in_millimetres_also_to_who_reads_inches(): void
    {
        $told = Spoken::in(
            LengthStyle::SixtyFourths,
            static fn (): array => PrintedBand::read('3/8–1 in (10–20 mm)')->disagreements,
        );

        self::assertSame(['“1 in” beside “20 mm”: 1 in is about 25.4 mm.'], $told);
    }

    public function test_the_edge_of_printed_rounding_is_allowed_and_a_step_further_is_not(): void
    {
        // Half of 1 mm and half of 1/8 in: 0.5 + 1.5875 mm from 25.4 mm.
        self::assertSame([], PrintedBand::read('9–24 mm (3/8–1 in)')->disagreements);
        self::assertCount(
            1,
            PrintedBand::read('9–23 mm (3/8–1 in)')->disagreements,
            '2.4 mm apart, and 2.0875 are allowed',
        );
        self::assertCount(2, PrintedBand::read('2–6 mm (1/2–1 in)')->disagreements);
    }

    public function test_an_edge_that_only_one_unit_has_is_told(): void
    {
        self::assertSame(
            ['One of the two figures has an edge that the other lacks.'],
            PrintedBand::read('2–6 mm (up to 1/4 in)')->disagreements,
        );
    }

    /** @return iterable<string, array{string}> */
    public static function noBands(): iterable
    {
        yield 'nothing' => [''];
        yield 'one figure' => ['4 mm'];
        yield 'a mixed number, which is one figure' => ['1-1/16 in'];
        yield 'a force' => ['10–20 N'];
        yield 'upside down' => ['20–10 mm'];
        yield 'words' => ['some slack'];
        yield 'three figures' => ['1–2–3 mm'];
        yield 'no second figure' => ['10–20 mm ()'];
    }

    #[DataProvider('noBands')]
    public function test_what_is_no_band_is_refused_with_a_sentence(string $text): void
    {
        $this->expectException(CoreError::class);
        $this->expectExceptionMessageMatches('/\w+.*\./');

        PrintedBand::read($text);
    }

    /** @return iterable<string, array{string, string}> */
    public static function told(): iterable
    {
        yield 'one figure' => ['3 mm', '“3 mm” is one figure, and no band. Write what may differ as well'];
        yield 'about one figure' => ['about 3 mm', 'is one figure, and no band'];
        yield 'a mixed number' => ['1-1/16 in', 'is one figure, and no band'];
        yield 'a quarter of what' => ['a quarter', 'is no band'];
        yield 'the larger first' => ['20 - 10 mm', 'its low edge must lie below its high edge'];
        yield 'three' => ['10 - 20 - 30 mm', 'is a range, where one edge of the band belongs'];
        yield 'differs by more than it is' => ['1 ± 2 mm', 'goes down to nothing and below'];
        yield 'differs by less than nothing' => ['2 ± -1 mm', 'a measured size has no sign'];
        yield 'a force' => ['5 lb', 'is no band'];
        yield 'words' => ['as needed', 'is no band'];
        yield 'decimals of an inch that do not say so' => ['0.04 - 0.06', 'names no unit, and in mm it would be next to'];
        yield 'the same, one-sided in two figures' => ['.08 ± .02', 'names no unit'];
        yield 'with where it is read' => ['2 to 3 mm at the lever end', 'Write the figure alone'];
        yield 'with how warm it is' => ['3–5 mm at 20 °C', 'Write the figure alone'];
        yield 'more down than there is' => ['1 +1/-2 mm', 'goes down to nothing and below'];
        yield 'nothing but its name' => ['free play', 'is no band'];
        yield 'none of it' => ['no free play', 'is no band'];
        yield 'no text' => ["\xff\xfe", 'is no band'];
    }

    #[DataProvider('told')]
    public function test_what_is_wrong_with_it_is_told(string $text, string $says): void
    {
        $this->expectException(CoreError::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($says, '/').'/');

        PrintedBand::read($text);
    }
}
