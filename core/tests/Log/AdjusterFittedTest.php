<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Log;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\LogRows;

/**
 * An adjuster changed or added on one machine: the run is another one from there on, in this job and for the plans of
 * it.
 */
final class AdjusterFittedTest extends TestCase
{
    private const MANUAL = [
        'id' => 'manual',
        'name' => 'manual adjuster',
        'kind' => 'in_line',
        'thread' => 'M8 x 1.25',
        'travel_mm' => 20,
        'access' => ['minutes' => 1],
    ];

    public function test_a_manual_one_in_place_of_a_sprung_one_is_asked_for_and_turned(): void
    {
        $job = self::sprung()->read(30.0, 30.0, 30.0);
        self::assertNotSame(PlanKind::Move, $job->state->next()->kind, 'a self-adjuster is not turned');
        // What a rider's manual adjuster asks of its fitter: common practice, no source.
        self::assertStringContainsString(
            'Fit that at its loosest, the cable uncut: push the wire back to gain slack, never pull against it.',
            $job->state->next()->sentence,
        );
        $job->entry(
            'adjuster',
            ['cable' => 'clutch', 'adjuster' => self::MANUAL, 'in_place_of' => 'self', 'remark' => 'island stores'],
        );
        self::assertSame(['manual'], array_keys($job->state->run->adjusters()));
        self::assertSame(VerdictKind::Unread, $job->state->judgement->now->kind, 'nothing read before compares');
        self::assertContains(
            'thread:manual',
            array_map(static fn ($item) => $item->key, $job->state->progress->items['as_found']),
        );
        $job->adjuster = 'manual';
        $job->line('thread 2 mm')->read(30.0, 30.0, 30.0);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
        self::assertSame('manual', $job->state->next()->recommended);
        $job->line('+3t')->read(16.0, 16.0, 16.0);
        self::assertSame(VerdictKind::Inside, $job->state->judgement->now->kind);
        self::assertContains(
            'Manual adjuster in place of the sprung self-adjuster. island stores',
            array_column(LogRows::of($job->state), 'what'),
        );
    }

    public function test_one_more_stands_next_to_the_working_end_and_old_moves_keep_their_name(): void
    {
        $job = TestJob::clutch()->ready()->read(25.0)->line('+1t');
        $job->entry(
            'adjuster',
            ['cable' => 'clutch', 'adjuster' => ['id' => 'second_barrel', 'name' => 'second barrel'] + self::MANUAL],
        );
        self::assertSame('second_barrel', array_key_last($job->state->run->adjusters()));
        self::assertArrayHasKey('perch', $job->state->facts->adjusters->positions);
        $job->entry(
            'adjuster',
            [
                'cable' => 'clutch',
                'adjuster' => ['id' => 'perch_2', 'name' => 'new perch barrel'] + self::MANUAL,
                'in_place_of' => 'perch',
            ],
        );
        self::assertArrayNotHasKey('perch', $job->state->facts->adjusters->positions);
        self::assertSame('perch_2', array_key_first($job->state->run->adjusters()), 'it has the place of the old one');
        $said = array_column(LogRows::of($job->state), 'what');
        self::assertContains('perch barrel out 1 turn', $said);
        self::assertContains('Second barrel added', $said);
    }

    public function test_a_cover_that_was_off_is_put_back_though_the_new_one_lies_under_none(): void
    {
        $job = FamilyJob::of(FamilyKey::SpeedSelector)->entry('cover', ['adjuster' => 'barrel', 'off' => true]);
        $job
            ->entry('adjuster', ['cable' => 'cable', 'adjuster' => self::MANUAL, 'in_place_of' => 'barrel'])
            ->triedByHand();
        self::assertSame(
            ['Belt cover back on'],
            array_values(array_map(
                static fn (StageItem $item): string => $item->label,
                array_filter(
                    $job->state->progress->items['prove'],
                    static fn (StageItem $item): bool => str_starts_with($item->key, 'cover:'),
                ),
            )),
        );
        self::assertStringStartsWith('This runs the machine. Put back first what was taken off: Belt cover back on.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'check',
                ['key' => 'auger_still', 'answer' => 'yes'],
            )));
        $job->refit();
        self::assertSame([], $job->state->facts->adjusters->coversOff);
        self::assertContains('Belt cover back on', array_column(LogRows::of($job->state), 'what'));
        self::assertSame(
            '“barrel” is not an adjuster of this control. It has: manual adjuster.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'cover',
                ['adjuster' => 'barrel', 'off' => true],
            )),
        );
    }

    public function test_one_that_was_fitted_is_locked_though_nobody_turned_it(): void
    {
        $job = self::sprung()
            ->read(15.0, 15.0, 15.0)
            ->entry('adjuster', ['cable' => 'clutch', 'adjuster' => self::MANUAL, 'in_place_of' => 'self']);
        $isLocked = static fn (TestJob $job): bool => ($job->state->progress->item('lock:manual')
            ?? self::fail('it is not asked'))->done;
        self::assertFalse($isLocked($job));
        $job->entry('thread', ['adjuster' => 'manual', 'turns' => 2]);
        self::assertSame(
            2.0,
            $job->state->facts->adjusters->home['manual']?->toFloat(),
            'and where it stood when it was fitted is its home mark',
        );
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'manual']);
        self::assertTrue($isLocked($job));
    }

    public function test_it_can_be_taken_back_until_it_was_worked_with(): void
    {
        $job = self::sprung()->entry(
            'adjuster',
            ['cable' => 'clutch', 'adjuster' => self::MANUAL, 'in_place_of' => 'self'],
        );
        $fitted = $job->last();
        $job->adjuster = 'manual';
        $job->line('thread 2 mm');
        $thread = $job->last();
        $takeBack = static fn (TestJob $job): TestJob => $job->entry(
            'void',
            ['entry' => $fitted, 'reason' => 'another machine'],
        );
        self::assertSame(
            'The manual adjuster was turned, read or locked since. Take that back first.',
            $job->refusal($takeBack),
        );
        $job->entry('void', ['entry' => $thread, 'reason' => 'another machine']);
        $takeBack($job);
        self::assertSame(['self'], array_keys($job->state->run->adjusters()));
    }

    public function test_a_cover_that_was_off_before_it_was_fitted_does_not_keep_it_there(): void
    {
        $job = TestJob::clutch([], ['cables' => [['id' => 'clutch', 'name' => 'Clutch cable', 'adjusters' => [
            [
                'id' => 'perch',
                'name' => 'perch barrel',
                'kind' => 'barrel',
                'thread' => 'M8 x 1.25',
                'travel_mm' => 11,
                'access' => ['minutes' => 1, 'cover' => 'boot'],
            ]]]]], ['positions_steps' => ['perch' => 2.0]])->ready();
        $job
            ->entry('cover', ['adjuster' => 'perch', 'off' => true])
            ->entry(
                'adjuster',
                [
                    'cable' => 'clutch',
                    'adjuster' => ['access' => ['minutes' => 1, 'cover' => 'boot']] + self::MANUAL,
                    'in_place_of' => 'perch',
                ],
            );
        $fitted = $job->last();
        self::assertSame(['manual' => true], $job->state->facts->adjusters->coversOff);
        $job->entry('cover', ['adjuster' => 'manual', 'off' => false]);
        $cover = $job->last();
        $takeBack = static fn (TestJob $job): TestJob => $job->entry(
            'void',
            ['entry' => $fitted, 'reason' => 'not this one'],
        );
        self::assertStringContainsString('Take that back first.', $job->refusal($takeBack));
        $takeBack($job->entry('void', ['entry' => $cover, 'reason' => 'not this one']));
        self::assertSame(['perch' => true], $job->state->facts->adjusters->coversOff);
    }

    public function test_one_whose_place_was_taken_names_what_to_take_back_first(): void
    {
        $job = self::sprung()->entry(
            'adjuster',
            ['cable' => 'clutch', 'adjuster' => self::MANUAL, 'in_place_of' => 'self'],
        );
        $first = $job->last();
        $job->entry(
            'adjuster',
            [
                'cable' => 'clutch',
                'adjuster' => ['id' => 'other', 'name' => 'other barrel'] + self::MANUAL,
                'in_place_of' => 'manual',
            ],
        );
        self::assertSame(
            'Another adjuster took the place of the manual adjuster since. Take that back first.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'void',
                ['entry' => $first, 'reason' => 'wrong'],
            )),
        );
    }

    public function test_what_cannot_be_is_refused_with_a_sentence(): void
    {
        $job = TestJob::clutch()->ready();
        $try = static fn (array $body): string => $job->refusal(
            static fn (TestJob $job): TestJob => $job->entry('adjuster', $body),
        );
        self::assertSame(
            '“brake” is not a cable of this control.',
            $try(['cable' => 'brake', 'adjuster' => self::MANUAL]),
        );
        self::assertSame(
            '“cam” is not on the Clutch cable, so nothing can take its place there.',
            $try(['cable' => 'clutch', 'adjuster' => self::MANUAL, 'in_place_of' => 'cam']),
        );
        self::assertSame(
            'An adjuster with the id “perch” is, or was, on this control. Give the new one another.',
            $try(['cable' => 'clutch', 'adjuster' => ['id' => 'perch'] + self::MANUAL]),
        );
        self::assertStringContainsString(
            'is missing',
            $try(['cable' => 'clutch', 'adjuster' => ['id' => 'x', 'name' => 'x', 'kind' => 'barrel']]),
        );
    }

    private static function sprung(): TestJob
    {
        $run = ['cables' => [[
            'id' => 'clutch',
            'name' => 'Clutch cable',
            'adjusters' => [['id' => 'self', 'name' => 'sprung self-adjuster', 'kind' => 'self_adjuster']],
        ]]];

        return TestJob::of(TestJob::clutchSpec(), $run + TestJob::clutchRun(), [])->ready();
    }
}
