<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Family;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\HookControl;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\AimCodec;

/**
 * A control on hook holes whose book has no figure: what it does decides, hole by hole (common practice, no source).
 */
final class HookControlTest extends TestCase
{
    #[TestWith(['slips', '1 hole tighter'])]
    #[TestWith(['turns', '1 hole looser'])]
    public function test_what_it_does_says_which_hole_is_next(string $saw, string $move): void
    {
        $job = self::tried($saw)->line('3');

        self::assertStringContainsString("Hook holes: {$move}.", $job->state->next()->sentence);
    }

    public function test_the_hole_that_does_what_it_should_is_proved_after_the_covers_are_back(): void
    {
        $job = self::tried('slips')->line('3')->line('done')->line('ok')->line('right');
        self::assertSame('check:springs_back', $job->state->progress->asks()?->key);
        $job->line('yes');
        self::assertSame('guards', $job->state->progress->asks()->key, 'nothing runs before the belt cover is on');
    }

    public function test_what_turns_one_hole_on_and_slips_here_is_no_matter_of_holes(): void
    {
        $job = self::tried('slips')->line('3')->line('done')->line('ok')->line('turns');

        self::assertStringContainsString(
            'No hole does both: one was too little and the next too much. Look further: Needed again and again: a stretched belt.',
            $job->state->next()->sentence,
        );
    }

    private static function tried(string $saw): TestJob
    {
        $job = TestJob::of(['family' => 'hook_control', 'others' => [AimCodec::encode(HookControl::table('holes'))]], [
            'hand' => ['kind' => 'handle', 'name' => 'Auger handle'],
            'cables' => [['id' => 'cable', 'name' => 'Cable', 'adjusters' => [
                [
                    'id' => 'holes',
                    'name' => 'hook holes',
                    'kind' => 'hook_holes',
                    'mm_per_step' => 8,
                    'travel_steps' => ['from' => 1, 'to' => 5],
                ],
            ]]],
            'working_end' => 'auger clutch',
        ], ['holes' => null]);
        while (! str_contains($job->state->progress->asks()->key ?? '', 'drive')) {
            $job->line('ok');
        }

        return $job->line($saw);
    }
}
