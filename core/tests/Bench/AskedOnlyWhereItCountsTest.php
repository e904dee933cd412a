<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Family\SpeedSelector;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Tests\Support\TestJob;

/** A question whose answer changes nothing is not asked, and one that changes something is. */
final class AskedOnlyWhereItCountsTest extends TestCase
{
    public function test_where_the_figure_holds_in_any_state_nobody_is_asked_how_it_stands(): void
    {
        $job = TestJob::throttle(['conditions' => ['wheels' => null]]);
        self::assertNotContains('condition', self::keys($job, JobStage::AsFound));
        $job->entry('reading', ['mm' => 4.0, 'entered' => '4', 'point' => 'grip_flange', 'instrument' => 'rule']);
        self::assertSame(VerdictKind::Inside, $job->state->judgement->found->kind);
        self::assertNull($job->state->judgement->foundGroup?->first()->engine, 'nothing is made up about its state');
    }

    public function test_a_clutch_is_asked_cold_or_hot_even_where_its_book_is_silent(): void
    {
        $job = TestJob::clutch(['conditions' => ['engine' => null]]);
        self::assertSame(['cold', 'hot'], self::words($job->state->progress->item('condition')));
        $this->expectException(NotUnderstood::class);
        $this->expectExceptionMessage('Say first how the machine stands: cold or hot');
        $job->line('12', 'reading:found');
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function states(): iterable
    {
        yield 'heat alone' => [['engine' => 'cold', 'wheels' => null], ['cold', 'hot']];
        yield 'heat and wheels' => [
            ['engine' => 'hot', 'wheels' => 'on_ground'],
            ['cold', 'cold stand', 'hot', 'hot stand'],
        ];
    }

    /**
     * @param  array<string, mixed>  $conditions
     * @param  list<string>  $words
     */
    #[DataProvider('states')]
    public function test_only_what_the_figure_depends_on_is_asked(array $conditions, array $words): void
    {
        self::assertSame(
            $words,
            self::words(TestJob::clutch(['conditions' => $conditions])->state->progress->item('condition')),
        );
    }

    public function test_wheels_alone_are_asked_of_a_throttle(): void
    {
        $item = TestJob::throttle()->state->progress->item('condition');
        self::assertSame(['ground', 'stand'], self::words($item));
        self::assertSame('On its wheels, or on a stand?', $item?->label);
    }

    public function test_preset_on_the_stand_is_proved_on_the_ground(): void
    {
        $job = TestJob::throttle()->toReading()->line('stand', 'condition');
        $job->read(4.0, 4.0, 4.0);
        self::assertSame(VerdictKind::Inside, $job->state->judgement->found->kind);
        self::assertStringEndsWith('on a stand: to set by', $job->state->judgement->found->sentence);
        self::assertSame(VerdictKind::NotJudged, $job->state->judgement->poses['straight']->kind, 'it proves nothing');
        self::assertSame(
            'wheels_down',
            $job->state->progress->asks()?->key,
            'it moves the work on, and the ground is asked for first',
        );
        $job->line('ok', 'wheels_down');
        self::assertSame('pose:straight', $job->state->progress->asks()->key);
        $job->read(4.1, 4.0, 4.1);
        self::assertSame(VerdictKind::Inside, $job->state->judgement->poses['straight']->kind);
        self::assertSame('pose:left', $job->state->progress->asks()->key);
    }

    public function test_a_throttle_read_only_on_the_stand_is_never_fit(): void
    {
        $job = TestJob::throttle()->toReading()->line('stand', 'condition');
        foreach (['straight', 'left', 'right'] as $pose) {
            foreach ([1, 2, 3] as $_) {
                $job->entry(
                    'reading',
                    [
                        'mm' => 4.0,
                        'entered' => '4',
                        'point' => 'grip_flange',
                        'pose' => $pose,
                        'wheels' => 'on_stand',
                        'instrument' => 'rule',
                    ],
                );
            }
        }
        self::assertContains(
            'Not read since the last move or lock: bars straight, bars full left, bars full right.',
            $job->state->progress->blocks(ClosingOutcome::Fit),
        );
    }

    public function test_one_pose_preset_on_the_stand_is_read_again_on_the_ground_too(): void
    {
        $job = TestJob::clutch(['conditions' => ['wheels' => 'on_ground']])
            ->toReading()
            ->line('cold stand', 'condition');
        $job->read(15.0, 15.0, 15.0);
        self::assertSame('wheels_down', $job->state->progress->asks()?->key);
        $job->line('ok', 'wheels_down');
        self::assertSame('pose:straight', $job->state->progress->asks()->key);
        $job->read(15.0, 15.0, 15.0);
        self::assertNotContains(
            'pose:straight',
            self::keys($job, JobStage::Prove),
            'read on the ground it is as any other',
        );
    }

    public function test_what_was_learned_on_the_stand_does_not_mix_with_the_ground(): void
    {
        $job = TestJob::throttle()
            ->toReading()
            ->line('stand', 'condition')
            ->read(8.0, 8.0, 8.0)
            ->line('ground', 'condition')
            ->read(5.0, 5.0, 5.0);
        self::assertSame([], $job->state->beliefs()->surprises, 'the ground is no surprise after the stand');
        self::assertEqualsWithDelta(5.0, $job->state->beliefs()->play->expected(0.0), 0.2);
    }

    public function test_two_detents_decide_and_the_others_are_proved_at_the_end(): void
    {
        $job = TestJob::table(
            'speed_selector',
            SpeedSelector::table(
                ['R2' => -2, 'R1' => -1, 'F1' => 1, 'F2' => 2, 'F3' => 3],
                null,
                0.0,
                [Mover::of('bracket', null, null, 0.15)],
            ),
        );
        self::assertSame(
            ['found:outcome:r1', 'found:outcome:f1', 'found:neutral_still', 'thread:bracket'],
            self::keys($job, JobStage::AsFound),
        );
        $tried = array_values(array_filter(
            self::keys($job, JobStage::Prove),
            static fn (string $key): bool => str_starts_with($key, 'outcome:'),
        ));
        self::assertSame(['outcome:r2', 'outcome:r1', 'outcome:f1', 'outcome:f2', 'outcome:f3'], $tried);
    }

    public function test_where_everything_does_what_it_should_nobody_looks_how_its_adjusters_stand(): void
    {
        $setting = SlidingDrive::table('rungs')->settings['drive'];
        $job = TestJob::table(
            'sliding_drive',
            OutcomeTable::of(
                'conduit',
                'rung',
                'towards more drive',
                'towards less drive',
                [$setting],
                [Mover::of('bracket', 1.0, 1, 0.0)],
                1.0,
                2.0,
            ),
        );
        while (! str_starts_with($job->state->progress->asks()->key ?? '', 'found:')) {
            $job->line('ok');
        }
        self::assertContains(
            'thread:bracket',
            self::keys($job, JobStage::AsFound),
            'not tried yet, so it may have to be moved',
        );
        $job->entry('outcome', ['setting' => 'drive', 'saw' => 'right']);
        self::assertNotContains('thread:bracket', self::keys($job, JobStage::AsFound));
        $job->entry('outcome', ['setting' => 'drive', 'saw' => 'slow']);
        self::assertContains(
            'thread:bracket',
            self::keys($job, JobStage::AsFound),
            'before it is moved, where it stands is noted',
        );
    }

    /** @return list<string> */
    private static function words(?StageItem $item): array
    {
        return array_map(static fn (Answer $one): string => $one->word, $item->answers ?? []);
    }

    /** @return list<string> */
    private static function keys(TestJob $job, JobStage $stage): array
    {
        return array_map(static fn (StageItem $one): string => $one->key, $job->state->progress->items[$stage->value]);
    }
}
