<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Errors;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Tests\Support\TestJob;

/** Errors are sentences for people: what was understood, and what to do. */
final class SentencesTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function outside(): iterable
    {
        yield 'short text stands as it is' => ['perch', '“perch”'];
        yield 'long text is cut' => [str_repeat('x', 100), '“'.str_repeat('x', 40).'…”'];
        yield 'line breaks become spaces' => ["two\nlines", '“two lines”'];
        yield 'bytes that are no text are replaced' => ["4\xff", '“4?”'];
        yield 'marks that turn the line around are dropped' => ["a\u{202E}b", '“a b”'];
        yield 'markup is only text' => ['<b>', '“<b>”'];
    }

    #[DataProvider('outside')]
    public function test_outside_text_is_cut_and_made_one_line(string $text, string $quoted): void
    {
        self::assertSame($quoted, Quoted::text($text));
    }

    /** @return iterable<string, array{string}> */
    public static function wrongLines(): iterable
    {
        foreach ([
            '12,,5', '3/0 in', 'abc', '', '-3', '+4.20', '+99t', '+3c', '4 furlong', 'v', 'n', 'tag', 'yes', 'aim high',
            'thread x', 'cold lifted', '+0t', 'done', '999', '1/2/3', str_repeat('9', 700),
        ] as $line) {
            yield mb_substr($line, 0, 20) === '' ? 'nothing' : mb_substr($line, 0, 20) => [$line];
        }
    }

    #[DataProvider('wrongLines')]
    public function test_every_refusal_is_a_sentence_that_says_what_to_do(string $line): void
    {
        $sentence = TestJob::clutch()
            ->ready()
            ->refusal(static fn (TestJob $job): TestJob => $job->line($line, 'in_band'));
        self::assertMatchesRegularExpression('/^[A-Z“+\-]/u', $sentence);
        self::assertStringEndsWith('.', $sentence);
        self::assertLessThan(260, mb_strlen($sentence));
        self::assertDoesNotMatchRegularExpression('/exception|null|undefined|stack|error|invalid/i', $sentence);
    }

    public function test_all_refusals_of_the_core_can_be_caught_as_one(): void
    {
        $this->expectException(CoreError::class);
        TestJob::clutch()->ready()->line('abc');
    }
}
