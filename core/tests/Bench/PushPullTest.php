<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Warnings;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\StateCodec;

/** A push-pull pair is two runs on one drum: forward play is opening slack, backward play closing slack. */
final class PushPullTest extends TestCase
{
    public function test_both_plays_are_asked_for_and_judged_apart(): void
    {
        $job = self::ready();
        $asks = static fn (TestJob $job): ?string => $job->state->progress->asks()?->key;
        self::assertSame('reading:found', $asks($job));
        self::assertSame('reading:found:second', $asks($job->read(4, 4, 4)));
        self::backward($job, 0.5, 0.5, 0.5);
        self::assertSame('inside', $job->state->judgement->now->kind->value);
        self::assertSame('too_tight', self::closing($job)->judgement->now->kind->value);
        self::assertEqualsWithDelta(4.0, $job->state->judgement->foundGroup?->found->mean, 1e-12);
    }

    public function test_each_play_is_set_at_its_own_cable(): void
    {
        $job = self::backward(self::ready()->read(7.5, 7.5, 7.5), 0.5, 0.5, 0.5);
        self::assertSame(['grip', 'carburettor'], array_keys($job->state->next()->options));
        $next = self::closing($job)->next();
        self::assertSame([PlanKind::Move, 'return'], [$next->kind, $next->recommended]);
        self::assertLessThan(0, $next->options['return']->steps?->count, 'in gives slack');
    }

    public function test_a_move_of_one_cable_gives_the_other_no_slack(): void
    {
        $job = self::backward(self::ready()->read(7.5, 7.5, 7.5), 2, 2, 2);
        $job->adjuster = 'return';
        $job->line('-1t', 'in_band:second');
        self::assertSame(0.0, $job->state->facts->readings->slack);
        self::assertSame(1.0, $job->state->second?->facts->readings->slack);
        self::assertEqualsWithDelta(7.5, $job->state->beliefs()->play->expected(0.0), 1e-9);
        self::assertEqualsWithDelta(2 + 1.4, self::closing($job)->beliefs()->play->expected(0.0), 0.1);
        self::assertSame('unread', $job->state->judgement->now->kind->value, 'on one drum, both are read again');
    }

    public function test_the_spec_says_which_is_set_first(): void
    {
        $keys = static fn (bool $first): array => array_values(array_filter(
            array_map(static fn ($item): string => $item->key, self::ready($first)->state->progress->items['set']),
            static fn (string $key): bool => str_starts_with($key, 'in_band'),
        ));
        self::assertSame(['in_band:second', 'in_band'], $keys(true));
        self::assertSame(['in_band', 'in_band:second'], $keys(false));
    }

    public function test_a_taut_closing_cable_fails_the_gate_and_every_pose_has_its_limit(): void
    {
        $job = self::backward(self::ready()->read(4, 4, 4), 2, 2, 2);
        $job->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        self::assertContains(
            'Prove: reading, bars full left: closing cable is missing.',
            $job->state->progress->blocksFit,
        );
        foreach ([0.0, 0.0] as $mm) {
            $job->line((string) $mm, 'pose:right:second', Pose::Right);
        }
        self::assertSame(GateStatus::Failed, $job->state->judgement->gates[3]->status);
        self::assertStringContainsString(
            'Seen with bars full right, closing cable.',
            $job->state->judgement->gates[3]->sentence,
        );
    }

    /** What one cable does not follow is said of that one, and ends its turning alone. */
    public function test_a_closing_cable_that_does_not_follow_is_called_by_its_name(): void
    {
        $job = self::backward(self::ready()->read(4, 4, 4), 9, 9, 9);
        $job->adjuster = 'return';
        foreach ([1, 2] as $turn) {
            self::backward($job->line('+3t', 'in_band:second')->read(4, 4, 4), 9, 9, 9);
            self::assertStringStartsWith(
                'Closing cable: expected about ',
                implode(' ', Warnings::of($job->state)),
                "turn {$turn}",
            );
        }
        self::assertSame(PlanKind::Suspect, self::closing($job)->next()->kind);
        self::assertSame(PlanKind::Prove, $job->state->next()->kind, 'the other is as it should be');
    }

    public function test_backward_play_is_never_taken_for_forward_play(): void
    {
        $job = self::backward(self::ready(), 2, 2, 2);
        self::assertNull($job->state->judgement->nowGroup);
        self::assertFalse($job->state->beliefs()->play->isPlaced());
        $state = StateCodec::encode($job->state);
        self::assertSame(['grip_flange', 'ferrule_gap'], array_column($state['spec']['points'], 'key'));
        self::assertSame('grip_backward', $state['pair']['spec']['point'] ?? null);
    }

    public function test_a_slack_partner_without_an_adjuster_is_replaced_and_not_set(): void
    {
        $job = TestJob::throttle(
            ['backward' => ['low_mm' => 1, 'high_mm' => 5]],
            [],
            [[
                'id' => 'closing',
                'name' => 'Closing cable',
                'pulls' => 'closing',
                'adjusters' => [['id' => 'none', 'name' => 'no adjuster', 'kind' => 'none']],
            ]],
        )
            ->ready()
            ->read(4, 4, 4);
        $next = self::closing(self::backward($job, 9, 9, 9))->next();
        self::assertSame(PlanKind::OutOfThread, $next->kind);
        self::assertStringContainsString('This cable has no adjuster. A slack one is replaced', $next->sentence);
    }

    public function test_where_there_is_one_cable_backward_is_no_place_to_read(): void
    {
        $refusal = TestJob::throttle()
            ->ready()
            ->refusal(static fn (TestJob $job) => $job->entry(
                'reading',
                [
                    'mm' => 2,
                    'entered' => '2',
                    'point' => 'grip_backward',
                    'engine' => 'cold',
                    'wheels' => 'on_ground',
                    'instrument' => 'rule',
                ],
            ));
        self::assertStringContainsString('Play is not read at the grip flange, backward on this control.', $refusal);
    }

    private static function closing(TestJob $job): BenchState
    {
        return $job->state->second ?? self::fail('no closing cable');
    }

    private static function backward(TestJob $job, float ...$values): TestJob
    {
        foreach ($values as $mm) {
            $job->line((string) $mm, 'reading:found:second');
        }

        return $job;
    }

    private static function ready(bool $first = true): TestJob
    {
        return TestJob::throttle(
            ['backward' => ['low_mm' => 1, 'high_mm' => 5, 'set_first' => $first]],
            TestJob::standing(['grip' => 2.0, 'carburettor' => 3.0, 'return' => 6.0]),
            [[
                'id' => 'closing',
                'name' => 'Closing cable',
                'pulls' => 'closing',
                'adjusters' => [[
                    'id' => 'return',
                    'name' => 'return adjuster',
                    'kind' => 'bracket_nuts',
                    'thread' => 'M6',
                    'travel_mm' => 12,
                ]],
            ]],
        )->ready();
    }
}
