<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Measuring;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;

/**
 * What was tried before a lock, or with something off as it turned out, is tried again. Common practice, no source:
 * locking turns what it locks.
 */
final class RunAgainTest extends TestCase
{
    /**
     * @return iterable<string, array{FamilyKey, Proof}> every proof that runs the machine where something is put back
     *     before
     */
    public static function running(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            foreach (Families::of($key)->proofs(FamilyJob::of($key)->state->run) as $proof) {
                if ($proof->running === Running::Refitted && Families::of($key)->refit() !== []) {
                    yield "{$key->value} {$proof->key}" => [$key, $proof];
                }
            }
        }
    }

    #[DataProvider('running')]
    public function test_a_run_is_made_again_where_what_was_said_to_be_back_was_not(FamilyKey $key, Proof $proof): void
    {
        $passes = (string) array_key_first(array_filter(
            $proof->answers->words,
            static fn (string $label, string $word): bool => $proof->passes($word),
            ARRAY_FILTER_USE_BOTH,
        ));
        $fails = (string) array_key_first(array_filter(
            $proof->answers->words,
            static fn (string $label, string $word): bool => ! $proof->passes($word) && ! $proof->tolerates($word),
            ARRAY_FILTER_USE_BOTH,
        ));
        foreach (array_filter(
            [$passes => false, $fails => true],
            static fn (string $word): bool => $word !== '',
            ARRAY_FILTER_USE_KEY,
        ) as $answer => $stands) {
            $job = FamilyJob::of($key)->entry('move', ['adjuster' => 'barrel', 'flats' => 1])->triedByHand()->refit();
            $said = $job->last();
            $job->entry('check', ['key' => $proof->key, 'answer' => $answer]);
            self::assertArrayHasKey($proof->key, $job->state->facts->answers->checks);
            $job->entry('void', ['entry' => $said, 'reason' => 'they lay on the floor']);
            self::assertSame(
                $stands,
                isset($job->state->facts->answers->checks[$proof->key]),
                "{$answer}: what went wrong in such a run stands",
            );
            $job->refit();
            self::assertSame($stands, isset($job->state->facts->answers->checks[$proof->key]), 'put back after it ran');
            $job->entry('check', ['key' => $proof->key, 'answer' => $passes]);
            self::assertSame($passes, $job->state->facts->answers->checks[$proof->key]->answer);
        }
    }

    public function test_a_blade_is_timed_again_where_a_guard_was_off(): void
    {
        $job = FamilyJob::of(FamilyKey::Bail)->entry('part', ['part' => 'cable'])->triedByHand()->refit();
        $said = $job->last();
        foreach ([1.9, 2.0] as $seconds) {
            $job->entry('measure', ['key' => 'blade_stop', 'value' => $seconds, 'entered' => (string) $seconds]);
        }
        self::assertSame([1.9, 2.0], Measuring::current($job->state->facts, MeasureKey::BladeStop));
        $job->entry('void', ['entry' => $said, 'reason' => 'it was not on'])->refit();
        self::assertSame([], Measuring::current($job->state->facts, MeasureKey::BladeStop));
        $job->entry('measure', ['key' => 'blade_stop', 'value' => 2.1, 'entered' => '2.1']);
        self::assertSame([2.1], Measuring::current($job->state->facts, MeasureKey::BladeStop));
    }

    public function test_a_setting_is_tried_again_where_the_cover_was_off(): void
    {
        $job = FamilyJob::of(FamilyKey::SpeedSelector)
            ->entry('cover', ['adjuster' => 'barrel', 'off' => true])
            ->entry('cover', ['adjuster' => 'barrel', 'off' => false]);
        $said = $job->last();
        $job
            ->entry('outcome', ['setting' => 'r1', 'saw' => 'reverse'])
            ->entry('outcome', ['setting' => 'f1', 'saw' => 'reverse']);
        $job->entry('void', ['entry' => $said, 'reason' => 'it was still off']);
        self::assertSame(
            ['f1' => 'reverse'],
            $job->state->judgement->table?->now,
            'that F1 drives backward needs no cover to be true',
        );
    }

    public function test_proofs_are_tried_again_once_what_was_turned_is_locked_and_not_for_locking_it_twice(): void
    {
        $job = TestJob::throttle()
            ->entry('move', ['adjuster' => 'grip', 'flats' => 1])
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left']);
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'grip']);
        self::assertArrayNotHasKey('snap_shut/left', $job->state->facts->answers->checks);
        $job
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left'])
            ->entry('confirmed', ['key' => 'locked', 'adjuster' => 'grip']);
        self::assertArrayHasKey('snap_shut/left', $job->state->facts->answers->checks);
        $job
            ->entry('move', ['adjuster' => 'carburettor', 'flats' => 1])
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left'])
            ->entry('confirmed', ['key' => 'locked', 'adjuster' => 'carburettor']);
        self::assertArrayNotHasKey(
            'snap_shut/left',
            $job->state->facts->answers->checks,
            'nor does what failed before it was locked stand',
        );
    }

    public function test_a_speed_is_driven_again_once_the_governor_is_locked_and_nothing_else_is_tried_again(): void
    {
        $job = TestJob::of([
            'family' => 'pedal_throttle',
            'others' => [['kind' => 'speed_ceiling', 'at_most_kmh' => 25.7, 'tyre_mm' => 457, 'usual_kmh' => 24]],
        ], [
            'hand' => ['kind' => 'pedal', 'name' => 'Throttle pedal'],
            'cables' => [[
                'id' => 'primary',
                'name' => 'Primary',
                'adjusters' => [[
                    'id' => 'governor',
                    'name' => 'governor nut',
                    'kind' => 'governor_nut',
                    'thread' => 'M6',
                    'travel_mm' => 30,
                ]],
            ]],
            'working_end' => 'carburettor',
        ], ['governor' => 20.0]);
        $job
            ->entry('check', ['key' => 'wide_open', 'answer' => 'yes'])
            ->entry('move', ['adjuster' => 'governor', 'flats' => 1])
            ->triedByHand()
            ->refit();
        $job
            ->entry('measure', ['key' => 'ground_speed', 'value' => 23.0, 'entered' => '23'])
            ->entry('measure', ['key' => 'tyre', 'value' => 457.0, 'entered' => '457']);
        self::assertSame([23.0], Measuring::current($job->state->facts, MeasureKey::GroundSpeed));
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'governor']);
        self::assertSame([], Measuring::current($job->state->facts, MeasureKey::GroundSpeed));
        self::assertSame([457.0], Measuring::current($job->state->facts, MeasureKey::Tyre));
        self::assertArrayHasKey('wide_open', $job->state->facts->answers->checks);
    }
}
