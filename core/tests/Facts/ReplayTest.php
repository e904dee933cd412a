<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Log\Log;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\StateCodec;

final class ReplayTest extends TestCase
{
    public function test_a_pose_that_is_come_back_to_goes_on_with_its_readings(): void
    {
        $job = TestJob::throttle()
            ->ready()
            ->read(4.0)
            ->readIn(Pose::Left, 3.5)
            ->readIn(Pose::Right, 4.5)
            ->readIn(Pose::Straight, 4.5)
            ->readIn(Pose::Left, 4.0);
        $groups = $job->state->judgement->poseGroups;
        self::assertSame(
            [[4.0, 4.5], [3.5, 4.0], [4.5]],
            array_map(
                static fn (string $pose): array => array_column($groups[$pose]->readings, 'mm'),
                ['straight', 'left', 'right'],
            ),
        );
        self::assertSame(2, $job->state->judgement->foundGroup?->found->count);
        self::assertCount(3, $job->state->facts->readings->groups);
        self::assertSame(
            'left',
            $job->state->facts->readings->groups[2]->first()->pose->value,
            'the one that was read last comes last',
        );
    }

    public function test_but_not_where_it_jumped_or_something_was_turned_or_another_instrument_was_taken(): void
    {
        $read = static fn (): TestJob => TestJob::throttle()->ready()->read(4.0, 4.0)->readIn(Pose::Left, 3.5);
        $jumped = $read()->readIn(Pose::Straight, 9.0)->state->judgement;
        self::assertSame([9.0], array_column($jumped->nowGroup->readings ?? [], 'mm'));
        self::assertNotNull($jumped->nowGroup?->doubt, 'the cable may have come out of its seat meanwhile');

        $turned = $read()->line('+1 turn')->readIn(Pose::Straight, 3.0)->state->judgement;
        self::assertSame([3.0], array_column($turned->nowGroup->readings ?? [], 'mm'));

        $other = $read();
        $other->instrument = 'caliper';
        self::assertSame(
            [4.05],
            array_column($other->readIn(Pose::Straight, 4.05)->state->judgement->nowGroup->readings ?? [], 'mm'),
        );
    }

    public function test_consecutive_readings_alike_are_one_group(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $groups = [count($job->state->facts->readings->groups)];
        $job->instrument = 'caliper';
        $groups[] = count($job->read(25.3)->state->facts->readings->groups);
        $groups[] = count($job->as(TestJob::oda())->read(25.3)->state->facts->readings->groups);
        self::assertSame([1, 2, 3], $groups, 'another instrument, and another person, begin another group');
    }

    public function test_as_found_is_what_was_read_before_the_first_move(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+1t')->read(21, 21, 21);
        self::assertEqualsWithDelta(76 / 3, $job->state->judgement->foundGroup?->found->mean, 1e-9);
        self::assertEqualsWithDelta(21.0, $job->state->judgement->nowGroup?->found->mean, 1e-9);
    }

    public function test_a_move_a_lock_and_nothing_else_make_the_reading_old(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15, 15);
        self::assertTrue($job->state->judgement->now->is(VerdictKind::Inside));
        $job->line('n the ring is stiff');
        self::assertTrue($job->state->judgement->now->is(VerdictKind::Inside));
        $job->line('+1f');
        self::assertTrue($job->state->judgement->now->is(VerdictKind::Unread));
        $job->read(14.5)->entry('confirmed', ['key' => 'locked', 'adjuster' => 'perch']);
        self::assertSame(
            'Locked: read it again, for locking turns the adjuster',
            $job->state->judgement->now->sentence,
        );
    }

    public function test_positions_follow_the_moves_and_home_stays(): void
    {
        $job = TestJob::clutch()->ready()->line('+1t2f', 'in_band')->line('-3f', 'in_band');
        self::assertSame(
            Steps::of(2)->count + Steps::fromFlats(5)->count,
            $job->state->facts->adjusters->positions['perch']?->count,
        );
        self::assertSame(Steps::fromFlats(-5)->count, $job->state->wayHome()['perch']?->count);
    }

    public function test_a_thread_measured_before_any_move_is_the_home_mark(): void
    {
        $job = TestJob::clutch();
        $job->entry('thread', ['adjuster' => 'perch', 'showing_mm' => 3.125]);
        self::assertSame(Steps::exactly(2.5)->count, $job->state->facts->adjusters->home['perch']?->count);
        $job->line('+1t', 'in_band')->entry('thread', ['adjuster' => 'perch', 'showing_mm' => 4.0]);
        self::assertSame(
            Steps::exactly(2.5)->count,
            $job->state->facts->adjusters->home['perch']->count,
            'a later one only corrects where it stands',
        );
        self::assertSame(Steps::exactly(3.2)->count, $job->state->facts->adjusters->positions['perch']?->count);
    }

    public function test_answers_before_a_move_are_due_again_after_it(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4);
        $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left']);
        self::assertCount(1, $job->state->facts->answers->checks);
        $job->line('+1f', 'in_band');
        self::assertSame([], $job->state->facts->answers->checks);
    }

    public function test_a_voided_entry_leaves_the_state_as_if_it_had_never_been(): void
    {
        $with = TestJob::clutch()->ready()->read(25.5, 25);
        $never = $with->state;
        $with->read(52)->line('v misread');
        self::assertEquals($never->facts->readings->groups, $with->state->facts->readings->groups);
        self::assertEquals($never->beliefs(), $with->state->beliefs());
        self::assertSame($never->judgement->now->sentence, $with->state->judgement->now->sentence);
    }

    public function test_an_amended_move_counts_at_its_place(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+1t', 'in_band');
        $move = $job->last();
        $job->read(29.5, 29.5, 30);
        self::assertCount(1, $job->state->beliefs()->surprises, 'a turn out cannot have done that');
        $job->entry(
            'amend',
            [
                'entry' => $move,
                'kind' => 'move',
                'body' => ['adjuster' => 'perch', 'turns' => -1],
                'reason' => 'it was in',
            ],
        );
        self::assertSame([], $job->state->beliefs()->surprises);
        self::assertSame(Steps::of(1)->count, $job->state->facts->adjusters->positions['perch']?->count);
    }

    public function test_a_replay_equals_the_replay_of_its_prefix_and_the_rest(): void
    {
        $job = self::longJob(8);
        $entries = $job->state->log->entries;
        $state = Bench::replay(
            $job->state->spec,
            $job->state->run,
            $job->state->log->prefix(max(1, intdiv(count($entries), 2))),
        );
        foreach (array_slice($entries, max(1, intdiv(count($entries), 2))) as $entry) {
            $state = Bench::accept($state, $entry);
        }
        self::assertSame(json_encode(StateCodec::encode($job->state)), json_encode(StateCodec::encode($state)));
    }

    public function test_replaying_twice_gives_the_same(): void
    {
        $job = self::longJob(9);
        $again = Bench::replay($job->state->spec, $job->state->run, Log::of(...$job->state->log->entries));
        self::assertSame(json_encode(StateCodec::encode($job->state)), json_encode(StateCodec::encode($again)));
    }

    public function test_readings_in_other_poses_move_the_straight_band(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 3, 3, 3);
        $band = $job->state->judgement->plannedBand;
        self::assertNotNull($band);
        self::assertGreaterThan(3.0, $band->low, 'left is 1 mm tighter, so straight must keep 1 mm more');
        self::assertEqualsWithDelta(6.0, $band->high, 0.51, 'right was not read: it is allowed half a millimetre');
        self::assertSame(
            VerdictKind::Inside,
            $job->state->judgement->poses['left']->kind,
            'and each pose is judged by its own reading',
        );
        $job->line('-1f', 'in_band')->read(2.2, 2.2, 2.2);
        self::assertSame(
            VerdictKind::TooTight,
            $job->state->judgement->now->kind,
            'left, 1 mm tighter, is foreseen until it is read again',
        );
    }

    public function test_what_was_found_is_not_judged_by_a_pose_tried_later(): void
    {
        $job = TestJob::throttle()->ready()->read(7.5, 7.5, 7.5);
        $found = $job->state->judgement->found->sentence;
        $job->line('+2t', 'in_band')->read(5.5, 5.5, 5.5)->readIn(Pose::Right, 6.5, 6.5, 6.5);
        self::assertSame($found, $job->state->judgement->found->sentence);
    }

    private static function longJob(int $seed): TestJob
    {
        $chance = new Chance($seed);
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $play = 25.3;
        for ($i = 0; $i < 6; $i++) {
            $flats = $chance->whole(-3, 5);
            if ($flats !== 0) {
                $job->line(sprintf('%+df', $flats), 'in_band');
                $play -= 0.7237 * $flats;
            }
            $job->read(...array_map(static fn (): float => round($chance->normal($play, 0.2) * 2) / 2, range(1, 3)));
        }

        return $job->line('v one too many', 'in_band');
    }
}
