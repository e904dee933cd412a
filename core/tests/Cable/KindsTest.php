<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Cable;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Tests\Support\TestJob;

/** Every kind of adjuster at the bench: how it counts, which way slack goes, what is refused. */
final class KindsTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, mixed>, string, float, string}> a move as typed, the slack it gives,
     *     how it is said
     */
    public static function moves(): iterable
    {
        $screw = ['thread' => 'M8 x 1.25', 'travel_mm' => 20];
        yield 'a hollow bolt out takes slack away' => [
            ['kind' => 'hollow_bolt'] + $screw,
            '+1t2f',
            -1.25 * 8 / 6,
            'out 1 turn and 2 flats',
        ];
        yield 'a clicking barrel counts in clicks' => [
            ['kind' => 'barrel', 'clicks_per_turn' => 8] + $screw,
            '+3c',
            -1.25 * 3 / 8,
            'out 3 clicks',
        ];
        yield 'its turns are still turns' => [
            ['kind' => 'barrel', 'clicks_per_turn' => 8] + $screw,
            '-1t',
            1.25,
            'in 8 clicks',
        ];
        yield 'one bevel is the smallest step of some' => [
            ['kind' => 'in_line', 'bevels_per_turn' => 12] + $screw,
            '+1b',
            -1.25 / 12,
            'out 1 bevel',
        ];
        $step = static fn (string $kind, float $mm, int $most): array => [
            'kind' => $kind,
            'mm_per_step' => $mm,
            'travel_steps' => ['from' => 0, 'to' => $most],
        ];
        yield 'a cam screw turned anticlockwise gives slack, its sense reversed' => [
            $step('cam_screw', 1.4, 2),
            '+1/4t',
            0.35,
            '1/4 turn anticlockwise',
        ];
        yield 'and clockwise takes it away' => [$step('cam_screw', 1.4, 2), '-1/2t', -0.7, '1/2 turn clockwise'];
        yield 'rungs towards the engine take slack away' => [
            $step('rung_clamp', 2.5, 12),
            '+2r',
            -5.0,
            '2 rungs towards the engine',
        ];
        yield 'a rung towards the handle gives it' => [
            $step('rung_clamp', 2.5, 12),
            '-1 rung',
            2.5,
            '1 rung towards the handle',
        ];
        yield 'a slotted bracket moves by millimetres' => [
            $step('slotted_bracket', 1, 18),
            '+2.5mm',
            -2.5,
            '2.5 mm away from the working end',
        ];
        yield 'or by inches, where somebody works in them' => [
            $step('slotted_bracket', 1, 18),
            '+1/8in',
            -3.175,
            '3.18 mm away from the working end',
        ];
        yield 'a pinch clamp pulls wire' => [$step('pinch_clamp', 1, 25), '+4mm', -4.0, '4 mm of wire through'];
        yield 'a hook moves hole by hole' => [$step('hook_holes', 4, 5), '-1h', 4.0, '1 hole looser'];
    }

    /** @param  array<string, mixed>  $adjuster */
    #[DataProvider('moves')]
    public function test_a_move_is_typed_in_the_adjusters_own_steps(
        array $adjuster,
        string $line,
        float $slack,
        string $said,
    ): void {
        $job = self::job($adjuster, 1.0)->line($line, 'in_band');
        self::assertEqualsWithDelta($slack, $job->state->facts->readings->slack, 1e-12);
        $move = $job->state->facts->readings->moves[0]->entry->steps;
        self::assertSame($said, $job->state->run->adjuster('it')?->say($move ?? Steps::none()));
    }

    /** @param  array<string, mixed>  $adjuster */
    #[DataProvider('moves')]
    public function test_what_is_said_of_a_move_may_be_typed_as_it_stands(
        array $adjuster,
        string $line,
        float $slack,
        string $said,
    ): void {
        self::assertEqualsWithDelta(
            $slack,
            self::job($adjuster, 1.0)->line(ucfirst($said), 'in_band')->state->facts->readings->slack,
            // As it is said to a hundredth.
            0.006,
        );
    }

    public function test_what_slides_is_moved_in_inches_by_somebody_who_thinks_in_them(): void
    {
        $slot = ['kind' => 'slotted_bracket', 'mm_per_step' => 1, 'travel_steps' => ['from' => 0, 'to' => 18]];
        $job = self::job($slot, 9.0);
        $bracket = $job->state->run->adjuster('it');
        self::assertSame(
            ['3/16 in towards the working end', '1/2 in of slot'],
            Spoken::in(LengthStyle::ThirtySeconds, static fn (): array => [
                $bracket?->say(Steps::exactly(-4.75)),
                $bracket?->room(Steps::exactly(12.75)),
            ]),
        );
        foreach (['+1/4 in' => -6.35, '+1/4"' => -6.35, '1/4 in away' => -6.35, '-0.3 cm' => 3.0] as $line => $slack) {
            self::assertEqualsWithDelta(
                $slack,
                self::job($slot, 9.0)->line($line, 'in_band')->state->facts->readings->slack,
                0.001,
                $line,
            );
        }
        $this->expectException(NotUnderstood::class);
        $this->expectExceptionMessage('counts in millimetres or inches: +2mm or -1/8in');
        $job->line('+2t', 'in_band');
    }

    /** @return iterable<string, array{array<string, mixed>, string, float}> */
    public static function shortly(): iterable
    {
        $thread = ['kind' => 'in_line', 'thread' => 'M8 x 1.25', 'travel_mm' => 20];
        yield 'turns, then the way' => [$thread, '2 turns out', -2.5];
        yield 'letters' => [$thread, 'in 2f', 1.25 / 3];
        yield 'a fraction' => [$thread, '1/2 turn in', 0.625];
        yield 'towards the handle' => [
            ['kind' => 'rung_clamp', 'mm_per_step' => 2.5, 'travel_steps' => ['from' => 0, 'to' => 12]],
            '1 rung handle',
            2.5,
        ];
        yield 'away' => [
            ['kind' => 'slotted_bracket', 'mm_per_step' => 1, 'travel_steps' => ['from' => 0, 'to' => 18]],
            '3 mm away',
            -3.0,
        ];
        yield 'tighter' => [
            ['kind' => 'hook_holes', 'mm_per_step' => 4, 'travel_steps' => ['from' => 0, 'to' => 5]],
            'tighter 1 hole',
            -4.0,
        ];
    }

    /** @param  array<string, mixed>  $adjuster */
    #[DataProvider('shortly')]
    public function test_a_move_is_typed_as_people_say_it(array $adjuster, string $line, float $slack): void
    {
        self::assertEqualsWithDelta(
            $slack,
            self::job($adjuster, 1.0)->line($line, 'in_band')->state->facts->readings->slack,
            1e-12,
        );
    }

    /** @param  array<string, mixed>  $adjuster */
    #[DataProvider('moves')]
    public function test_steps_without_a_way_are_asked_for_it_and_what_is_offered_can_be_typed(array $adjuster): void
    {
        $unit = self::job($adjuster, 1.0)->state->run->adjuster('it')?->counting()->unit ?? StepUnit::Turn;
        $lines = ["1 {$unit->value}", "1{$unit->letters()}", "1 {$unit->value} more"];
        // A length is a reading, also where the adjuster slides by lengths.
        self::assertCount(1, self::job($adjuster, 1.0)->line('12.5 mm', 'in_band')->state->facts->readings->groups);
        foreach ($unit === StepUnit::Millimetre ? [] : $lines as $line) {
            $job = self::job($adjuster, 1.0);
            $said = $job->refusal(static fn (TestJob $one): TestJob => $one->line($line, 'in_band'));
            self::assertMatchesRegularExpression('/^Read “.*” as a move, but not which way\. Type (.+), or (.+)\.$/', $said);
            $offered = explode(', or ', rtrim(explode('Type ', $said)[1] ?? '', '.'));
            $slack = static fn (string $typed): float => self::job($adjuster, 1.0)
                ->line($typed, 'in_band')->state->facts->readings->slack;
            self::assertEqualsWithDelta(0.0, array_sum(array_map($slack, $offered)), 1e-12, $said);
            self::assertNotSame(0.0, $slack($offered[0]));
            self::assertCount(2, $offered);
            self::assertSame([], $job->state->facts->readings->moves);
        }
        self::assertNotSame('', $unit->letters());
    }

    public function test_where_it_stands_is_typed_as_it_is_said_and_is_no_move(): void
    {
        $thread = self::job(
            ['kind' => 'in_line', 'thread' => 'M8 x 1.25', 'travel_mm' => 20],
            null,
        )->line('5 mm out', 'thread:it');
        self::assertSame(
            [4.0, []],
            [$thread->state->facts->adjusters->positions['it']?->toFloat(), $thread->state->facts->readings->moves],
        );
        $bracket = self::job(
            ['kind' => 'slotted_bracket', 'mm_per_step' => 1, 'travel_steps' => ['from' => 0, 'to' => 18]],
            null,
        )->line('10 mm along', 'thread:it');
        self::assertSame(
            [10.0, []],
            [$bracket->state->facts->adjusters->positions['it']?->toFloat(), $bracket->state->facts->readings->moves],
        );
        foreach (['1/2 in along' => 12.7, '1/2"' => 12.7, '7.0' => 7.0] as $line => $mm) {
            $at = self::job(
                ['kind' => 'slotted_bracket', 'mm_per_step' => 1, 'travel_steps' => ['from' => 0, 'to' => 18]],
                null,
            )->line($line, 'thread:it')->state->facts->adjusters->positions['it'];
            self::assertEqualsWithDelta($mm, $at?->toFloat(), 0.001, $line);
        }
        $clamp = self::job(
            ['kind' => 'pinch_clamp', 'mm_per_step' => 1, 'travel_steps' => ['from' => 0, 'to' => 25]],
            null,
        )->line('4 mm pulled through', 'thread:it');
        self::assertSame(4.0, $clamp->state->facts->adjusters->positions['it']?->toFloat());
        self::assertStringContainsString(
            'Type where the thing stands',
            $bracket->refusal(static fn (TestJob $one) => $one->line('3 mm away', 'thread:it')),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        $rungs = ['kind' => 'rung_clamp', 'mm_per_step' => 2.5, 'travel_steps' => ['from' => 1, 'to' => 6]];
        yield 'turns of a rung clamp' => [$rungs, '+1t', 'The thing counts in rungs: +2r or -1r.'];
        yield 'clicks of a rung clamp' => [$rungs, '+1c', 'The thing counts in rungs: +2r or -1r.'];
        yield 'half a rung' => [$rungs, '+1/2r', 'The thing moves in whole rungs.'];
        yield 'more rungs than there are' => [
            $rungs,
            '+9r',
            'The thing cannot go 9 rungs towards the engine: that is beyond its end. It has 5 rungs left that way.',
        ];
        yield 'back over the first' => [$rungs, '-1r', 'It stands at its end that way.'];
        yield 'clicks of a plain thread' => [
            ['kind' => 'barrel', 'thread' => 'M8', 'travel_mm' => 11],
            '+2c',
            'The thing counts in turns and flats: +1t, -2f or +1t2f.',
        ];
        yield 'half a click' => [
            ['kind' => 'barrel', 'thread' => 'M8', 'travel_mm' => 11, 'clicks_per_turn' => 4],
            '+1/2c',
            'The thing moves in whole clicks.',
        ];
        yield 'turning a push rod' => [
            ['kind' => 'push_rod_a'],
            '+1t',
            'is set by its own steps, in their order, not by a count. It asks for: give the cable full slack',
        ];
        yield 'turning where there is nothing' => [['kind' => 'none'], '+1t', 'There is nothing to turn at the thing.'];
    }

    /** @param  array<string, mixed>  $adjuster */
    #[DataProvider('refused')]
    public function test_what_it_does_not_do_is_refused_with_a_sentence(
        array $adjuster,
        string $line,
        string $sentence,
    ): void {
        self::assertStringContainsString(
            $sentence,
            self::job($adjuster, 1.0)->refusal(static fn (TestJob $job) => $job->line($line, 'in_band')),
        );
    }

    public function test_where_it_stands_is_a_rung_and_not_a_length(): void
    {
        $job = self::job(
            ['kind' => 'rung_clamp', 'mm_per_step' => 2.5, 'travel_steps' => ['from' => 1, 'to' => 6]],
            null,
        );
        self::assertSame(4.0, $job->line('thread 4')->state->facts->adjusters->positions['it']?->toFloat());
        self::assertSame(3.0, $job->line('3 rungs', 'thread:it')->state->facts->adjusters->positions['it']?->toFloat());
        self::assertStringContainsString(
            'goes from rung 1 to rung 6, so it cannot stand on rung 9',
            $job->refusal(static fn (TestJob $one) => $one->line('thread 9')),
        );
        self::assertStringContainsString(
            'stands on a whole rung',
            $job->refusal(static fn (TestJob $one) => $one->line('thread 2.5')),
        );
        self::assertStringContainsString(
            'Type where the thing stands, in rungs',
            $job->refusal(static fn (TestJob $one) => $one->line('thread up there')),
        );
    }

    public function test_where_a_cam_stands_is_a_part_of_a_turn(): void
    {
        $job = self::job(
            ['kind' => 'cam_screw', 'mm_per_step' => 1.4, 'travel_steps' => ['from' => 0, 'to' => 2]],
            null,
        );
        self::assertSame(
            '1 1/2 turns from its clockwise stop',
            $job->state->run
                ->adjuster('it')
                ?->where($job->line('thread 1.5')->state->facts->adjusters->positions['it'] ?? Steps::none()),
        );
        self::assertSame(
            0.75,
            $job->line('3/4 turn', 'thread:it')->state->facts->adjusters->positions['it']?->toFloat(),
        );
    }

    public function test_the_size_of_a_step_that_is_only_drawn_is_learned(): void
    {
        $rungs = [
            'kind' => 'rung_clamp',
            'mm_per_step' => 2.5,
            'knowledge' => 'drawn',
            'travel_steps' => ['from' => 0, 'to' => 12],
        ];
        $job = self::job($rungs, 2.0);
        // 0.10 of the measured lever and 0.30 of the drawn step add up as squares.
        self::assertEqualsWithDelta(sqrt(0.1 ** 2 + 0.3 ** 2), $job->state->beliefs()->play->taught()->spread, 1e-12);
        $job->read(30, 30, 30)->line('+1r', 'in_band')->read(20, 20, 20);
        // One rung took 10 mm where the drawing said 8.68.
        self::assertEqualsWithDelta(10.0, $job->state->beliefs()->play->ratio() * 2.5, 0.4);
    }

    public function test_a_drawn_arm_moved_by_teeth_would_start_the_comparison_anew(): void
    {
        foreach (AdjusterKind::cases() as $kind) {
            self::assertSame($kind->sets() === AdjustedQuantity::Mechanism, Guide::of($kind) !== [], $kind->label());
        }
    }

    /** @return iterable<string, array{string, list<string>}> the orders of common practice, no source */
    public static function guides(): iterable
    {
        yield 'type A: seats inward, backs out' => ['push_rod_a', ['slack', 'free', 'seat', 'back', 'lock']];
        yield 'type B: a sprung plate holds it, so there is no nut to free' => [
            'push_rod_b',
            ['slack', 'seat', 'back', 'lock'],
        ];
        yield 'an arm goes on by its index, its spring last' => [
            'spline_arm',
            ['spring', 'slop', 'tooth', 'ring', 'wind'],
        ];
        yield 'a sprung one takes up by itself' => ['self_adjuster', ['tab', 'take_up', 'home']];
    }

    /** @param  list<string>  $keys */
    #[DataProvider('guides')]
    public function test_guided_steps_stand_in_one_order_only(string $kind, array $keys): void
    {
        $job = self::withGuided($kind);
        foreach ($keys as $place => $key) {
            foreach (array_diff($keys, [$key]) as $wrong) {
                self::assertStringStartsWith(
                    'Not yet. The thing asks first: ',
                    $job->refusal(static fn (TestJob $one) => $one->entry(
                        'step',
                        ['adjuster' => 'it', 'key' => $wrong],
                    )),
                    "{$wrong} before {$key}",
                );
            }
            $job->entry('step', ['adjuster' => 'it', 'key' => $key]);
            // The arm's spring is wound on once the cable is set: until then its moves wait for nothing.
            $next = $keys[$place + 1] ?? 'wind';
            self::assertSame($next !== 'wind', $job->state->facts->guideUnderWay($job->state->run) !== null);
        }
        self::assertSame(
            'Moved: pull it fully three times and read it',
            $job->state->judgement->now->sentence,
            'an adjuster was set, step by step',
        );
        $job->entry('step', ['adjuster' => 'it', 'key' => $keys[0]]);
        self::assertSame([$keys[0]], $job->state->facts->adjusters->guides['it'], 'done again, it begins anew');
    }

    public function test_while_a_push_rod_is_set_the_cable_stays_slack_and_nothing_else_is_advised(): void
    {
        $job = self::withGuided('push_rod_a')->entry('step', ['adjuster' => 'it', 'key' => 'slack']);
        self::assertSame('guided', $job->state->next()->kind->value);
        $job->adjuster = 'perch';
        self::assertStringContainsString(
            'the cable stays slack until its last step is done',
            $job->refusal(static fn (TestJob $one) => $one->line('+1t', 'in_band')),
        );
        self::assertSame(
            0,
            $job->state->facts->adjusters->positions['perch']->count ?? null,
            'all slack given, it stands at its end',
        );
        $job->entry('thread', ['adjuster' => 'perch', 'turns' => 1])->line('-1f', 'in_band');
        self::assertSame(-1, $job->state->facts->readings->moves[0]->entry->steps?->count <=> 0);
        $job->adjuster = 'it';
        self::assertStringContainsString(
            'has no place to measure',
            $job->refusal(static fn (TestJob $one) => $one->entry('thread', ['adjuster' => 'it', 'turns' => 1])),
        );
    }

    public function test_a_guided_step_parts_the_readings_before_from_those_after(): void
    {
        $job = self::withGuided('push_rod_b')->read(15, 15, 15);
        self::assertSame('inside', $job->state->judgement->now->kind->value);
        foreach (['slack', 'seat', 'back', 'lock'] as $key) {
            $job->entry('step', ['adjuster' => 'it', 'key' => $key]);
        }
        self::assertSame('unread', $job->state->judgement->now->kind->value);
        self::assertSame(4, $job->state->facts->readings->series);
    }

    public function test_a_run_with_nothing_to_turn_says_what_that_means(): void
    {
        $next = self::job(['kind' => 'none'], null)->read(25, 25, 25)->state->next();
        self::assertSame('out_of_thread', $next->kind->value);
        self::assertStringContainsString('no adjuster', $next->sentence);
    }

    public function test_nothing_is_blamed_where_nothing_turns_and_nothing_is_wrong(): void
    {
        $said = static fn (float ...$mm): string => self::job(['kind' => 'none'], null)
            ->read(...$mm)->state->next()->kind->value;
        self::assertSame('prove', $said(15), 'inside by its first reading');
        self::assertSame('prove', $said(15, 15, 15));
        self::assertSame('decide', $said(19.9, 19.9), 'at the edge nobody can tell');
        self::assertSame('read', $said(25), 'one reading may be misread');
        $left = self::job(['kind' => 'none'], null)->read(25, 25, 25)->entry('by_choice', ['reason' => 'the owner wants it so']);
        self::assertSame('prove', $left->state->next()->kind->value, 'left by choice');
    }

    public function test_a_governor_nut_has_a_ceiling_and_is_no_part_of_a_plan(): void
    {
        $job = self::job(['kind' => 'governor_nut', 'thread' => '1/4-20', 'travel_mm' => 25.4], 12.0);
        $at = static fn (TestJob $one): float => $one->state->facts->adjusters->positions['it']?->toFloat() ?? 0.0;
        self::assertSame(11.0, $at($job->line('-1t', 'in_band')));
        self::assertSame(0.0, $job->state->facts->readings->slack, 'it moves no conduit');
        // Half an inch stays: common practice, no source. 10 turns of 1/4-20 are 12.7 mm.
        self::assertSame(
            'The thing keeps 12.7 mm of thread: governed speed is not raised past the maker\'s limit.',
            $job->refusal(static fn (TestJob $one) => $one->line('-1t1f', 'in_band')),
        );
        self::assertSame(10.0, $at($job->line('-1t', 'in_band')));
        self::assertSame([], $job->state->run->playAdjusters());
    }

    public function test_done_is_the_move_shown_in_its_own_steps(): void
    {
        $job = self::job(['kind' => 'hook_holes', 'mm_per_step' => 4, 'travel_steps' => ['from' => 1, 'to' => 5]], 2.0);
        self::assertSame(
            3.0,
            $job->line('done', 'in_band', turns: 1.0)->state->facts->adjusters->positions['it']?->toFloat(),
        );
        self::assertSame(1.0, (new Shown('it', 1.0, null, null, null, null))->steps);
    }

    /** @param  array<string, mixed>  $adjuster */
    private static function job(array $adjuster, ?float $at): TestJob
    {
        $run = ['cables' => [[
            'id' => 'cable',
            'name' => 'Cable',
            'adjusters' => [['id' => 'it', 'name' => 'thing'] + $adjuster],
        ]]]
            + TestJob::clutchRun();
        $job = TestJob::clutch(run: $run, standing: TestJob::standing($at === null ? [] : ['it' => $at]));
        $job->adjuster = 'it';
        while (
            ($item = $job->state->progress->asks()) !== null
            && ! str_starts_with($item->key, 'reading')
            && ($at !== null || ! str_starts_with($item->key, 'thread'))
        ) {
            $job->line($item->key === 'condition' ? 'cold' : 'ok');
        }

        return $job;
    }

    private static function withGuided(string $kind): TestJob
    {
        $run = TestJob::clutchRun();
        $run['cables'][0]['adjusters'][] = ['id' => 'it', 'name' => 'thing', 'kind' => $kind];

        return TestJob::clutch(run: $run)->ready();
    }
}
