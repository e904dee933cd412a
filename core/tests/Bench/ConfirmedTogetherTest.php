<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\AimCodec;
use VividPull\Core\Wire\LogRows;

/** The lines of a stage confirmed at once: the same as one by one, and only what was shown. */
final class ConfirmedTogetherTest extends TestCase
{
    private const FAIR = 15;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_it_is_the_same_as_line_by_line(FamilyKey $key): void
    {
        $atOnce = FamilyJob::of($key);
        foreach ([JobStage::MakeSafe, JobStage::LookOver] as $stage) {
            if ($atOnce->state->progress->together($stage) !== []) {
                $atOnce->line('all ok', $atOnce->state->progress->asks()?->key);
            }
        }
        $byLine = FamilyJob::of($key);
        while (in_array($byLine->state->progress->stage, [JobStage::MakeSafe, JobStage::LookOver], true)) {
            $byLine->line('ok', $byLine->state->progress->asks()?->key);
        }
        self::assertSame($byLine->state->progress->stage, $atOnce->state->progress->stage);
        self::assertSame($byLine->state->progress->asks()?->key, $atOnce->state->progress->asks()?->key);
        self::assertSame(
            array_keys($byLine->state->facts->answers->confirmed),
            array_keys($atOnce->state->facts->answers->confirmed),
        );
        self::assertSame(
            array_keys($byLine->state->facts->answers->inspected),
            array_keys($atOnce->state->facts->answers->inspected),
        );
    }

    public function test_the_log_names_each_line(): void
    {
        $job = FamilyJob::of(FamilyKey::SlidingDrive);
        $job->line('all ok', 'engine_off');
        $job->line('all ok', 'wire');
        $said = array_column(LogRows::of($job->state), 'what');
        self::assertContains(
            'Engine off, spark lead off the plug; Blade stopped, drive wheels clear, on a level hard floor; The machine\'s own manual is at hand',
            $said,
        );
        self::assertContains(
            'Inner wire sound; Toothed conduit and clamp sound; Handle sound; Belt and its cover sound',
            $said,
        );
    }

    public function test_what_was_found_faulty_is_never_made_sound_by_it(): void
    {
        $job = FamilyJob::of(FamilyKey::SlidingDrive);
        $job->line('all ok', 'engine_off');
        $job->line('fault strands out', 'wire');
        self::assertNotContains(
            'wire',
            array_map(
                static fn (StageItem $one): string => $one->key,
                $job->state->progress->together(JobStage::LookOver),
            ),
        );
        $job->line('all ok', 'conduit');
        self::assertSame(Finding::Fault, $job->state->facts->answers->inspected['wire']->finding);
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('“Inner wire” is not sound. Answer it by itself.');
        $job->entry('all_confirmed', ['keys' => ['wire', 'handle']]);
    }

    public function test_an_apprentice_confirms_line_by_line(): void
    {
        $job = FamilyJob::of(FamilyKey::ClutchLever);
        $job->as(new Person('pia', 'Pia', Role::Apprentice));
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('is an apprentice and confirms each line by itself.');
        $job->entry('all_confirmed', ['keys' => ['engine_off']]);
    }

    public function test_a_line_that_is_none_and_no_line_at_all_are_refused(): void
    {
        $job = FamilyJob::of(FamilyKey::ClutchLever);
        foreach ([['guards_off'], []] as $keys) {
            try {
                $job->entry('all_confirmed', ['keys' => $keys]);
                self::fail('It was taken.');
            } catch (Refused $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
        self::assertSame([], $job->state->facts->answers->confirmed);
    }

    public function test_a_question_of_another_stage_is_not_answered_by_it(): void
    {
        $job = FamilyJob::of(FamilyKey::ClutchLever);
        $job->line('all ok', $job->state->progress->asks()?->key);
        $job->line('all ok', $job->state->progress->asks()?->key);
        $this->expectException(NotUnderstood::class);
        $job->line('all ok', $job->state->progress->asks()?->key);
    }

    public function test_a_slow_drive_is_closed_in_a_fair_number_of_entries(): void
    {
        $job = self::drive();
        $entries = 0;
        for (; ($item = $job->state->progress->asks()) !== null && $item->key !== 'sign_off'; $entries++) {
            $words = array_map(static fn (Answer $one): string => $one->word, $item->answers);
            $job->line(match (true) {
                $job->state->progress->together($job->state->progress->stage) !== [] => 'all ok',
                in_array('ok', $words, true) => 'ok',
                str_starts_with($item->key, 'found:') => 'slow',
                str_starts_with($item->key, 'try:') => 'right',
                str_starts_with($item->key, 'thread:') => '5',
                $item->key === 'in_band' => 'done',
                $item->key === 'check:on_grass' => 'well',
                default => 'yes',
            }, $item->key);
        }
        $job->entry('closed', ['outcome' => 'fit']);
        self::assertNotNull($job->state->facts->closed);
        self::assertCount(1, $job->state->facts->readings->moves);
        self::assertLessThanOrEqual(self::FAIR, $entries + 1);
    }

    private static function drive(): TestJob
    {
        return TestJob::of(
            ['family' => FamilyKey::SlidingDrive->value, 'others' => [AimCodec::encode(SlidingDrive::table('clamp'))]],
            [
                'hand' => ['kind' => 'handle', 'name' => 'Drive handle'],
                'cables' => [[
                    'id' => 'cable',
                    'name' => 'Cable',
                    'adjusters' => [[
                        'id' => 'clamp',
                        'name' => 'rung clamp',
                        'kind' => 'rung_clamp',
                        'mm_per_step' => 2,
                        'travel_steps' => ['from' => 0, 'to' => 10],
                        'access' => ['minutes' => 2],
                    ]],
                ]],
                'working_end' => 'drive clutch',
            ],
            [],
        );
    }
}
