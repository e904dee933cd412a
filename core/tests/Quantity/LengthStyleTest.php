<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Tests\Support\TestJob;

/** Lengths as a person reads them: said so in every sentence, read back as they were said, and judged by none of it. */
final class LengthStyleTest extends TestCase
{
    /**
     * @return iterable<string, array{LengthStyle, float, string}> an inch is 25.4 mm by definition (international yard,
     *     1959)
     */
    public static function lengths(): iterable
    {
        yield 'mm' => [LengthStyle::Millimetres, 10.0, '10.0 mm'];
        yield 'decimal' => [LengthStyle::DecimalInches, 10.0, '0.394 in'];
        yield 'an inch' => [LengthStyle::Sixteenths, 25.4, '1 in'];
        yield 'lowest terms' => [LengthStyle::SixtyFourths, 12.7, '1/2 in'];
        yield 'whole and part' => [LengthStyle::SixtyFourths, 30.16, '1 3/16 in'];
        yield 'to the nearest mark' => [LengthStyle::SixtyFourths, 10.0, '25/64 in'];
        yield 'coarser marks' => [LengthStyle::Eighths, 10.0, '3/8 in'];
        yield 'between two marks it is no fraction' => [LengthStyle::Eighths, 2.0, '0.079 in'];
        yield 'nor is what is too small' => [LengthStyle::SixtyFourths, 0.1, '0.004 in'];
        yield 'nothing' => [LengthStyle::SixtyFourths, 0.0, '0 in'];
        yield 'less' => [LengthStyle::Sixteenths, -6.35, '-1/4 in'];
    }

    #[DataProvider('lengths')]
    public function test_it_is_said_as_a_person_reads_it(LengthStyle $style, float $mm, string $said): void
    {
        self::assertSame($said, Spoken::in($style, static fn (): string => (string) Figure::length($mm)));
    }

    /** @return iterable<string, array{LengthStyle}> */
    public static function styles(): iterable
    {
        foreach (LengthStyle::cases() as $style) {
            yield $style->value => [$style];
        }
    }

    #[DataProvider('styles')]
    public function test_what_is_said_is_read_back_as_the_same(LengthStyle $style): void
    {
        mt_srand(20261128);
        for ($n = 0; $n < 2000; $n++) {
            $mm = mt_rand(0, 80_000) / 1000;
            foreach ([Figure::length(...), Figure::shortLength(...)] as $figure) {
                [$said, $again] = Spoken::in($style, static function () use ($figure, $mm, $style): array {
                    $said = (string) $figure($mm);

                    return [$said, (string) $figure(QuantityReader::defaultingTo($style->unit())->read($said)->value)];
                });
                self::assertSame($said, $again, "{$mm} mm");
            }
        }
    }

    #[DataProvider('styles')]
    public function test_a_fraction_misses_by_no_more_than_a_twelfth_or_half_a_mark(LengthStyle $style): void
    {
        for ($mm = 0.5; $mm < 60.0; $mm += 0.37) {
            $said = Spoken::in($style, static fn (): string => Figure::length($mm)->bare());
            $read = QuantityReader::defaultingTo($style->unit())->read($said)->value;
            self::assertLessThanOrEqual(max(0.08 * $mm + 0.02, 0.06), abs($read - $mm), "{$mm} mm as {$said}");
        }
    }

    public function test_sentences_of_a_job_are_said_so_and_the_verdict_is_the_same(): void
    {
        $job = TestJob::clutch()->ready()->read(27, 27, 27);
        $replayed = static fn (): array => [
            $job->state->judgement->found->kind,
            TestJob::again($job)->judgement->found->sentence,
            TestJob::again($job)->spec->say(),
        ];
        [$kind, , $band] = $replayed();
        [$same, $said, $inches] = Spoken::in(LengthStyle::SixtyFourths, $replayed);

        self::assertSame($kind, $same);
        self::assertSame('10 to 20 mm at the lever tip', $band);
        self::assertSame('25/64 to 25/32 in at the lever tip', $inches);
        self::assertStringNotContainsString('mm', $said);
    }

    public function test_a_bare_number_is_in_the_units_of_whoever_types_it_and_the_log_says_which(): void
    {
        $job = TestJob::clutch()->ready();
        $job->unit = Unit::Inch;
        $job->line('0.6', 'reading:found');

        self::assertEqualsWithDelta(
            15.24,
            $job->state->judgement->found->kind->isOutside() ? 0.0 : $job->state->judgement->foundGroup?->found->mean,
            1e-9,
        );
        self::assertStringContainsString(
            '0.6 in',
            (string) json_encode($job->state->log->entries[count($job->state->log->entries) - 1]),
        );
    }

    public function test_what_is_said_afterwards_is_said_as_before_even_where_it_failed(): void
    {
        try {
            Spoken::in(LengthStyle::DecimalInches, static fn (): never => throw new RuntimeException('no'));
        } catch (RuntimeException) {
        }

        self::assertSame('2.0 mm', (string) Figure::length(2.0));
        self::assertSame(
            '2.0 mm',
            Spoken::in(
                LengthStyle::DecimalInches,
                static fn (): string => Spoken::kept(static fn (): string => (string) Figure::length(2.0)),
            ),
        );
    }
}
