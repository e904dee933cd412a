<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Cable;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Ways;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Tests\Support\TestJob;

/** The two ways of an adjuster in the words of the people who turn it. */
final class WaysTest extends TestCase
{
    public function test_advice_says_them_in_place_of_the_words_of_its_kind(): void
    {
        $perch = self::job()->state->next()->options['perch']->sentence ?? '';

        self::assertStringContainsString(', up ', $perch);
        self::assertStringNotContainsString(' in ', $perch);
    }

    #[TestWith(['down 1 turn and 2 flats', 8])]
    #[TestWith(['2 flats up', -2])]
    public function test_a_move_is_typed_in_them(string $line, int $flats): void
    {
        $job = self::job()->line($line);
        $moved = $job->state->log->entries[array_key_last($job->state->log->entries)];

        self::assertInstanceOf(Moved::class, $moved);
        self::assertSame($flats * 120, $moved->steps?->count);
    }

    public function test_a_word_with_a_sign_in_it_is_no_pattern(): void
    {
        self::assertSame(
            ['up (towards you)' => 1, 'up' => 1, 'down' => -1],
            Ways::said('up (towards you)', 'down')->typed(),
        );
        self::job(['out' => 'up (towards you)', 'in' => 'down'])->line('down 2 flats');
    }

    public function test_one_word_for_both_is_refused(): void
    {
        $this->expectException(CoreError::class);
        $this->expectExceptionMessage('Out and in are both called “Over”: nobody could tell which is meant.');

        self::job(['out' => 'Over', 'in' => 'over']);
    }

    public function test_a_figure_in_one_is_refused(): void
    {
        $this->expectException(CoreError::class);
        $this->expectExceptionMessage('a way is said in words, such as down, without a figure.');

        self::job(['out' => 'to mark 2', 'in' => 'back']);
    }

    /** @param  array<string, string>  $ways */
    private static function job(array $ways = ['out' => 'down', 'in' => 'up']): TestJob
    {
        return TestJob::clutch(run: TestJob::clutchRun(['ways' => $ways]))->ready()->read(6.0, 6.0, 6.0);
    }
}
