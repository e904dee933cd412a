<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Amending;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Tests\Support\WellDone;

/**
 * An engine that was run is not as cold as somebody said before it ran: a figure of play that knows heat asks again.
 * Common practice, no source.
 */
final class HeatAgainTest extends TestCase
{
    public function test_cold_said_before_a_run_is_not_cold_after_it(): void
    {
        $job = self::ridden();
        self::assertSame('condition:ran', $job->state->progress->asks()?->key);
        self::assertSame('It was run since. How does it stand?', $job->state->progress->asks()->label);
        self::assertSame(
            'Read 15. It was run since its heat was said. Say first how it stands now: cold or hot, for play changes with heat; then type it again.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->line('15', 'in_band')),
        );
        $job->line('hot');
        self::assertStringStartsWith(
            'It is hot, and the figure is for a cold engine',
            (string) $job->state->wrongState(),
        );
        $job->line('-1f', 'in_band')->read(15, 15, 15);
        self::assertSame(
            'Not judged: read hot; the figure is for a cold engine',
            $job->state->judgement->now->sentence,
        );
        $job->line('cold')->read(15, 15, 15);
        self::assertTrue(
            $job->state->judgement->nowGroup?->first()->engine?->value === 'cold' && $job->state->wrongState() === null,
        );
    }

    public function test_what_was_read_before_the_run_may_still_be_put_right(): void
    {
        $job = TestJob::clutch()->ready()->read(15);
        $reading = $job->last();
        $job->read(15, 15);
        self::ride($job, 'middle');
        $draft = Amending::read('15.5', $reading, 'misread', $job->state, $job->person);
        self::assertSame(
            [15.5, 'cold'],
            [$draft->body['body']['mm'], $draft->body['body']['engine']],
            'cold, as it was then',
        );
        $this->expectException(NotUnderstood::class);
        $job->read(15);
    }

    public function test_a_state_in_which_play_was_read_is_not_taken_back_under_its_readings(): void
    {
        $job = TestJob::clutch()->ready();
        $cold = $job->state->facts->answers->condition->stamp->id ?? self::fail('nobody said how it stands');
        $void = static fn (TestJob $one): TestJob => $one->entry('void', ['entry' => $cold, 'reason' => 'it was hot']);
        $hot = static fn (TestJob $one): TestJob => $one->entry(
            'amend',
            ['entry' => $cold, 'reason' => 'it was hot', 'kind' => 'condition', 'body' => ['engine' => 'hot']],
        );
        $job->read(15);
        self::assertSame(
            'A reading was taken as cold since. Take it back first, then say how it stands, and read again.',
            $job->refusal($void),
        );
        $job->read(15);
        self::assertSame(
            '2 readings were taken as cold since. Take them back first, then say how it stands, and read again.',
            $job->refusal($void),
        );
        self::assertStringStartsWith('2 readings were taken as cold since.', $job->refusal($hot));
        $job->line('cold')->read(15);
        self::assertStringStartsWith(
            '2 readings were taken',
            $job->refusal($void),
            'what was said later holds for what was read later',
        );
        foreach ($job->state->log->entries as $entry) {
            if ($entry instanceof ReadingTaken) {
                $job->entry('void', ['entry' => $entry->stamp->id, 'reason' => 'it was hot']);
            }
        }
        $void($job);
        self::assertTrue($job->state->facts->answers->condition !== null, 'the later one stands');
    }

    public function test_where_nothing_is_left_to_be_read_nobody_is_asked(): void
    {
        $job = TestJob::clutch()->as(TestJob::oda());
        self::assertNotContains('condition:ran', WellDone::upToTheSignature($job, '15'));
        self::assertTrue($job->state->facts->readings->ranSince);
    }

    public function test_a_figure_that_holds_in_any_heat_asks_for_none(): void
    {
        $any = ['conditions' => ['engine' => null, 'wheels' => null, 'poses' => ['straight']]];
        $job = TestJob::throttle($any)->as(TestJob::oda());
        WellDone::upToTheSignature($job, '4');
        $job->entry(
            'confirmed',
            ['key' => 'locked', 'adjuster' => (string) array_key_first($job->state->run->adjusters())],
        );
        self::assertNotContains('condition:ran', WellDone::upToTheSignature($job, '4'));
    }

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            if (FamilyJob::of($key)->state->spec->aim !== null) {
                yield $key->value => [$key];
            }
        }
    }

    #[DataProvider('families')]
    public function test_in_every_family_it_is_asked_before_play_is_read_again(FamilyKey $key): void
    {
        $job = FamilyJob::of($key)->as(TestJob::oda());
        WellDone::upToTheSignature($job, '10');
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'barrel']);
        self::assertSame(['condition:ran', 'reading:left'], array_slice(WellDone::upToTheSignature($job, '10'), 0, 2));
    }

    /** Read, proved and found to bite late. */
    private static function ridden(): TestJob
    {
        $job = TestJob::clutch()->ready()->read(13, 13, 13);
        self::ride($job, 'late');

        return $job;
    }

    private static function ride(TestJob $job, string $bite): void
    {
        $job
            ->line('yes', 'check:arm_loose')
            ->line('yes', 'check:wiggle_still')
            ->refit()
            ->line('yes', 'check:no_creep')
            ->line('holds', 'check:no_slip')
            ->line($bite, 'check:bite');
    }
}
