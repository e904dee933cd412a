<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Log;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Family\Families;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\LogRows;

/** Replacing a cable in its family's own steps. */
final class ReplacingTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            if (Families::of($key)->notSettable() === null) {
                yield $key->value => [$key];
            }
        }
    }

    #[DataProvider('families')]
    public function test_every_family_notes_slackens_compares_and_hooks_in_that_order(FamilyKey $key): void
    {
        $steps = array_map(static fn (GuideStep $one): string => $one->key, Families::of($key)->replacing());
        self::assertSame(array_values(array_unique($steps)), $steps, 'no step twice');
        $order = array_map(
            static fn (string $one): int|false => array_search($one, $steps, true),
            [Replacement::NOTE, Replacement::SLACK, Replacement::COMPARE, 'hook'],
        );
        self::assertNotContains(false, $order);
        $sorted = $order;
        sort($sorted);
        self::assertSame($sorted, $order);
        foreach (Families::of($key)->replacing() as $step) {
            $mayPass = in_array($step->key, [Replacement::NOTE, Replacement::SLACK, Replacement::COMPARE, 'hook'], true)
                && $step->mayBePassed;
            self::assertFalse($mayPass, "{$step->key} is never passed");
        }
    }

    #[DataProvider('families')]
    public function test_a_cable_of_every_family_is_replaced_from_its_reason_to_the_new_part(FamilyKey $key): void
    {
        $job = self::begun($key);
        for ($n = 0; $n < 30 && $job->state->facts->observations->replacing?->isOver === false; $n++) {
            $item = $job->state->progress->asks() ?? self::fail('nothing is asked');
            self::assertStringStartsWith('replace:', $item->key);
            self::settle($job, $item);
        }
        self::assertTrue($job->state->facts->observations->replacing?->isOver);
    }

    public function test_what_the_machine_does_not_have_is_passed_and_said_so(): void
    {
        $job = self::begun(FamilyKey::ClutchLever);
        while ($job->state->progress->asks()?->key !== 'replace:bracket_off') {
            self::settle($job, $job->state->progress->asks() ?? self::fail('nothing is asked'));
        }
        $job->line('not here', 'replace:bracket_off');
        self::assertSame(
            [true, 'Not here'],
            [
                $job->state->progress->item('replace:bracket_off')?->done,
                $job->state->progress->item('replace:bracket_off')?->said,
            ],
        );
        $rows = LogRows::of($job->state);
        self::assertStringEndsWith(': not here', $rows[count($rows) - 1]['what']);
        $job->entry('compared', ['new_wire_mm' => 80, 'ends_alike' => true]);
        self::assertStringContainsString(
            'never passed',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'replacing',
                ['key' => 'hook', 'not_here' => true],
            )),
        );
    }

    public function test_what_was_loosened_to_give_slack_is_locked_in_the_end_though_nobody_turned_it_since(): void
    {
        $job = TestJob::clutch()
            ->ready()
            ->entry('replacing', ['key' => 'begin', 'reason' => 'frayed'])
            ->entry('replacing', ['key' => 'note', 'remark' => 'left of the frame']);
        $locks = static fn (TestJob $job): array => array_values(array_map(
            static fn (StageItem $item): string => $item->key,
            array_filter(
                $job->state->progress->items['set'],
                static fn (StageItem $item): bool => str_starts_with($item->key, 'lock:') && ! $item->done,
            ),
        ));
        self::assertSame([], $locks($job));
        $job->entry('replacing', ['key' => 'slack']);
        self::assertSame(['lock:perch', 'lock:bracket'], $locks($job));
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'perch']);
        self::assertSame(['lock:bracket'], $locks($job));
        self::assertNotSame(
            [],
            array_filter(
                $job->state->progress->blocks(ClosingOutcome::Fit),
                static fn (string $one): bool => str_starts_with($one, 'Set: lock the'),
            ),
        );
    }

    public function test_of_two_cables_it_is_asked_which_and_only_its_adjusters_are_at_full_slack(): void
    {
        $closing = ['id' => 'closing', 'name' => 'Closing cable', 'pulls' => 'closing', 'adjusters' => [
            [
                'id' => 'return',
                'name' => 'return adjuster',
                'kind' => 'bracket_nuts',
                'thread' => 'M6',
                'travel_mm' => 12,
            ],
        ]];
        $job = TestJob::throttle(
            [],
            ['positions_steps' => ['grip' => 2.0, 'carburettor' => 3.0, 'return' => 4.0]] + TestJob::standing(),
            [$closing],
        );
        self::assertSame(
            'Say which cable is replaced: Throttle cable or Closing cable.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'replacing',
                ['key' => 'begin', 'reason' => 'frayed'],
            )),
        );
        self::assertStringContainsString(
            'is not a cable of this control',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'replacing',
                ['key' => 'begin', 'reason' => 'frayed', 'cable' => 'brake'],
            )),
        );
        $job
            ->entry('replacing', ['key' => 'begin', 'reason' => 'frayed', 'cable' => 'closing'])
            ->entry('replacing', ['key' => 'note', 'remark' => 'left'])
            ->entry('replacing', ['key' => 'slack']);
        self::assertSame(
            [2.0, 3.0, 0.0],
            array_map(
                static fn (?object $at): ?float => $at instanceof Steps ? $at->toFloat() : null,
                array_values($job->state->facts->adjusters->positions),
            ),
        );
    }

    public function test_of_a_cable_of_two_pieces_one_is_replaced_and_the_other_keeps_its_place(): void
    {
        $barrel = static fn (string $id): array => [
            'id' => $id,
            'name' => "{$id} barrel",
            'kind' => 'barrel',
            'thread' => 'M6',
            'travel_mm' => 12,
            'access' => ['minutes' => 1, 'tools' => "8 mm spanner for the {$id}"],
        ];
        $job = TestJob::of(
            [
                'family' => FamilyKey::TriggerThrottle->value,
                'aim' => ['kind' => 'free_play_band', 'point' => 'carburettor_barrel', 'low_mm' => 1, 'high_mm' => 2],
                'book' => ['tools' => [['step' => 'hook', 'what' => 'long-nosed pliers']]],
            ],
            [
                'hand' => ['kind' => 'trigger', 'name' => 'Throttle trigger'],
                'cables' => [
                    ['id' => 'front', 'name' => 'Front piece', 'adjusters' => [$barrel('front')]],
                    ['id' => 'rear', 'name' => 'Rear piece', 'adjusters' => [$barrel('rear')]],
                ],
                'working_end' => 'carburettor',
            ],
            ['front' => 3.0, 'rear' => 4.0],
        );
        self::assertSame(
            'Say which cable is replaced: Front piece or Rear piece.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'replacing',
                ['key' => 'begin', 'reason' => 'frayed'],
            )),
        );
        $job
            ->entry('replacing', ['key' => 'begin', 'reason' => 'frayed', 'cable' => 'rear'])
            ->entry('replacing', ['key' => 'note', 'remark' => 'left']);
        self::assertSame(
            'Tools: rear barrel: 8 mm spanner for the rear.',
            $job->state->progress->item('replace:slack')?->detail,
            'only its own adjusters are turned',
        );
        self::assertSame(
            'Tools: long-nosed pliers.',
            $job->state->progress->item('replace:hook')?->detail,
            'as the book has it',
        );
        $job->entry('replacing', ['key' => 'slack']);
        self::assertSame(
            [3.0, 0.0],
            array_map(
                static fn (?object $at): ?float => $at instanceof Steps ? $at->toFloat() : null,
                array_values($job->state->facts->adjusters->positions),
            ),
        );
    }

    public function test_tools_of_a_step_that_is_none_are_refused(): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('“weld” is no step of replacing a cable of this family.');
        TestJob::clutch(['book' => ['tools' => [['step' => 'weld', 'what' => 'torch']]]]);
    }

    public function test_tools_of_one_step_said_twice_are_refused_and_neither_is_lost_in_silence(): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('the tools of this step stand above already.');
        TestJob::clutch(['book' => ['tools' => [
            ['step' => 'hook', 'what' => 'pliers'],
            ['step' => 'hook', 'what' => '10 mm'],
        ]]]);
    }

    public function test_an_inch_short_is_refused_though_nothing_was_ever_read(): void
    {
        $job = self::begun(
            FamilyKey::ClutchLever,
            TestJob::clutch(
                [],
                ['cables' => [[
                    'id' => 'clutch',
                    'name' => 'Clutch cable',
                    'adjusters' => [[
                        'id' => 'perch',
                        'name' => 'perch barrel',
                        'kind' => 'barrel',
                        'thread' => 'M8 x 1.25',
                        'travel_mm' => 11,
                    ]],
                ]]],
                ['positions_steps' => ['perch' => 2.0]],
            ),
        );
        $job->entry('replacing', ['key' => 'note', 'remark' => 'left'])->entry('replacing', ['key' => 'slack']);
        // The band is 10 to 20 mm at 3.47 to one: 2.9 to 5.8 mm of slack, and the barrel takes up 11. 5.8 + 11 − 25.4
        // is under 2.9.
        $job->entry('compared', ['old_wire_mm' => 90, 'new_wire_mm' => 90 - 25.4, 'ends_alike' => true]);
        self::assertStringContainsString(
            'However the old one was set, this one is too short',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry('replacing', ['key' => 'draw'])),
        );
        // 5 mm short may fit or may not: that is said.
        $job
            ->entry('compared', ['old_wire_mm' => 90, 'new_wire_mm' => 85, 'ends_alike' => true])
            ->entry('replacing', ['key' => 'draw']);
        // 2.9 + 30 − 11 is over 5.8.
        $job->entry('compared', ['old_wire_mm' => 90, 'new_wire_mm' => 120, 'ends_alike' => true]);
        self::assertStringContainsString(
            'the adjusters cannot take that up',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry('replacing', ['key' => 'sheaths'])),
        );
        $job
            ->entry('compared', ['old_wire_mm' => 90, 'new_wire_mm' => 90, 'ends_alike' => true])
            ->entry('replacing', ['key' => 'sheaths']);
    }

    /** Common practice, no source. */
    #[DataProvider('families')]
    public function test_both_ends_are_put_on_again_before_they_are_looked_at(FamilyKey $key): void
    {
        $keys = array_column(Families::of($key)->replacing(), 'key');
        $fitting = array_slice($keys, (int) array_search('compare', $keys, true));
        self::assertNotSame(
            [],
            array_filter($fitting, static fn (string $step): bool => str_ends_with($step, '_on') || $step === 'seated'),
            implode(', ', $fitting),
        );
    }

    public function test_a_machine_without_its_brake_is_chocked_first(): void
    {
        $first = Families::of(FamilyKey::BrakePull)->replacing()[0];
        self::assertSame('On the level, wheels chocked', $first->label);
        self::assertSame('It has no brake while the cable is off.', $first->caution);
    }

    public function test_a_governor_spring_and_the_clutch_arms_spring_go_back_where_they_were(): void
    {
        foreach ([FamilyKey::PedalThrottle, FamilyKey::EngageByPull, FamilyKey::ReleaseByPull] as $key) {
            $keys = array_column(Families::of($key)->replacing(), 'key');
            self::assertLessThan(
                array_search('spring_on', $keys, true),
                array_search('spring_off', $keys, true),
                $key->value,
            );
        }
    }

    private static function begun(FamilyKey $key, ?TestJob $job = null): TestJob
    {
        $job ??= FamilyJob::of($key);
        foreach ($job->state->progress->items['make_safe'] ?? [] as $item) {
            $job->line('ok', $item->key);
        }

        return $job->entry('replacing', ['key' => 'begin', 'reason' => 'frayed']);
    }

    private static function settle(TestJob $job, StageItem $item): void
    {
        match ($item->key) {
            'replace:note' => $job->line('ok left of the frame', $item->key),
            'replace:compare' => $job->entry(
                'compared',
                ['old_wire_mm' => 84, 'new_wire_mm' => 84, 'ends_alike' => true],
            ),
            default => $job->line('ok', $item->key),
        };
    }
}
