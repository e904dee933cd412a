<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Facts\MoveMade;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\ModeCables;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Family\SpeedSelector;
use VividPull\Core\Planning\TableAdvice;
use VividPull\Core\Planning\TableAdviceKind;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\MadeUp;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Tests\Support\Walk;

final class TablePlannerTest extends TestCase
{
    public function test_r1_driving_forward_with_r2_in_reverse_asks_one_and_a_half_detents_back(): void
    {
        // Detents R2 −2d, R1 −d, F1 +d: the offset lies between d and 2d, and −d to d is wanted, so any shift of −2d to
        // −d is certain.
        $advice = self::advice(self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], null, 0.0, 1),
            ['r2' => 'reverse', 'r1' => 'forward', 'f1' => 'forward'],
        ));
        self::assertSame(TableAdviceKind::Move, $advice->kind);
        self::assertEqualsWithDelta(-1.5, $advice->shift, 1e-9);
        self::assertTrue($advice->isCertain);
        self::assertStringContainsString('1.5 detents towards reverse', $advice->sentence);
    }

    public function test_a_dead_band_counts_as_bounds_of_its_own(): void
    {
        $job = self::seen(self::selector(['R1' => -1, 'F1' => 1], 6.0, 1.0, 1), ['r1' => 'nothing', 'f1' => 'forward']);
        // At R1 nothing: −1 ≤ o − 6 ≤ 1; wanted o − 6 ≤ −1 and o + 6 ≥ 1. Certain shifts: −5 − 5 to 5 − 7.
        self::assertEqualsWithDelta((-10.0 - 2.0) / 2, self::advice($job)->shift, 1e-9);
    }

    public function test_where_nobody_knows_which_way_the_arm_goes_a_trial_shows_it(): void
    {
        $job = self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], 6.0, 0.0, null),
            ['r2' => 'reverse', 'r1' => 'forward', 'f1' => 'forward'],
        );
        self::assertNull(self::advice($job)->steps);
        self::assertStringContainsString('see which way the arm goes', self::advice($job)->how);
        $job->line('+2mm');
        self::assertSame(TableAdviceKind::WhichWay, self::advice($job)->kind);
        self::assertSame('arm_went', $job->state->progress->asks()?->key);
        $job->line('minus')->line('ok');
        $job->line('forward')->line('forward');
        $advice = self::advice($job);
        self::assertGreaterThan(0.0, $advice->steps?->toFloat(), 'outward went back, so back is outward');
        self::assertLessThan(0.0, $advice->shift);
    }

    /** @return iterable<string, array{string, int}> which way the bracket is moved first, away from the arm positive */
    public static function looks(): iterable
    {
        yield 'reverse draws the arm to the bracket, so the bracket goes away from it' => ['towards_bracket', 1];
        yield 'reverse lets it go, so the bracket follows' => ['away_from_bracket', -1];
    }

    #[DataProvider('looks')]
    public function test_a_look_before_loosening_says_which_way_to_move_first(string $look, int $way): void
    {
        $job = self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], 6.0, 0.0, null),
            ['r2' => 'reverse', 'r1' => 'forward', 'f1' => 'forward'],
        );
        $item = $job->state->progress->asks();
        self::assertSame(
            ['arm_goes', 'Draw the lever slowly from F1 to R1: which way does the friction-wheel arm go?'],
            [$item?->key, $item?->label],
        );
        $job->entry('outcome', ['setting' => 'arm', 'saw' => $look]);
        $steps = self::advice($job)->steps ?? self::fail('a look spares the blind trial');
        self::assertSame($way, $steps->count <=> 0);
        $job->entry('move', ['adjuster' => 'bracket', 'steps' => $steps->toFloat()]);
        self::assertSame(TableAdviceKind::WhichWay, self::advice($job)->kind, 'a look is no proof');
        $job->line('plus');
        $job->line('ok')->line('forward')->line('forward');
        self::assertSame(
            -$way,
            (self::advice($job)->steps ?? self::fail('no move'))->count <=> 0,
            'it went the other way: arm and bracket stand on two sides',
        );
    }

    public function test_where_the_arm_cannot_be_seen_a_trial_shows_it_as_before(): void
    {
        $job = self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], 6.0, 0.0, null),
            ['r2' => 'reverse', 'r1' => 'forward', 'f1' => 'forward'],
        );
        $job->line('cannot be seen');
        self::assertNull(self::advice($job)->steps);
        $job->line('+2mm');
        self::assertStringContainsString(
            'before anything is moved',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'outcome',
                ['setting' => 'arm', 'saw' => 'towards_bracket'],
            )),
        );
    }

    public function test_an_uncounted_move_is_not_asked_about_for_ever_and_a_setting_may_be_called_arm(): void
    {
        $job = self::seen(
            self::selector(['R2' => -2, 'Arm' => -1, 'F1' => 1], 6.0, 0.0, null),
            ['r2' => 'reverse', 'arm' => 'forward', 'f1' => 'forward'],
        );
        $job->entry('move', ['adjuster' => 'bracket', 'uncounted' => true]);
        self::assertSame(TableAdviceKind::Try, self::advice($job)->kind, 'nobody counted it, so nobody can say');
        $job->line('+2mm', 'in_band');
        self::assertSame(TableAdviceKind::WhichWay, self::advice($job)->kind);
        $job->line('towards reverse', 'arm_went');
        self::assertNotSame(TableAdviceKind::WhichWay, self::advice($job)->kind);
    }

    public function test_done_logs_the_move_of_a_table_as_its_button_does(): void
    {
        $job = self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], null, 0.0, 1),
            ['r2' => 'reverse', 'r1' => 'forward', 'f1' => 'forward'],
        );
        $steps = self::advice($job)->steps;
        $job->line('done', 'in_band');
        self::assertEquals($steps, $job->state->facts->readings->moves[0]->entry->steps);
    }

    public function test_teeth_that_did_not_meet_prove_nothing(): void
    {
        $job = self::seen(self::modes(), ['park' => 'right', 'two_wheel' => 'unmet', 'turf' => 'right']);
        self::assertSame('found:outcome:two_wheel', $job->state->progress->asks()?->key, 'it is asked again');
        self::assertSame(TableAdviceKind::Try, self::advice($job)->kind);
    }

    public function test_marks_that_contradict_each_other_are_no_offset_fault(): void
    {
        $advice = self::advice(self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], 6.0, 0.0, 1),
            ['r2' => 'forward', 'r1' => 'reverse', 'f1' => 'forward'],
        ));
        self::assertSame(TableAdviceKind::Contradiction, $advice->kind);
        self::assertSame(
            [['a bent arm or bracket', Cure::Mount], ['a worn or wrong part', null]],
            array_map(static fn (Suspect $one): array => [$one->what, $one->cure], $advice->suspects),
        );
        self::assertStringContainsString('Suspect a bent arm, a worn or wrong part', $advice->sentence);
    }

    public function test_with_everything_right_there_is_nothing_to_move(): void
    {
        $job = self::seen(self::selector(['R1' => -1, 'F1' => 1], 6.0, 0.0, 1), ['r1' => 'reverse', 'f1' => 'forward']);
        self::assertSame(TableAdviceKind::Right, self::advice($job)->kind);
    }

    public function test_where_two_cables_are_out_one_goes_first_and_it_is_said_so(): void
    {
        // Park is wrong, and it hangs on the park cable; two-wheel is wrong, and it hangs on the mode cable alone.
        $advice = self::advice(self::seen(
            self::modes(parkOnMode: 0.0),
            ['park' => 'over', 'two_wheel' => 'over', 'turf' => 'over'],
        ));
        self::assertSame(
            [TableAdviceKind::Move, 'mode'],
            [$advice->kind, $advice->adjuster],
            'it brings two settings right',
        );
        self::assertStringContainsString(
            'More than one cable is out: this one first, then the table again.',
            $advice->how,
        );
    }

    public function test_what_no_adjuster_reaches_is_out_of_reach(): void
    {
        $job = self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], 6.0, 0.0, 1),
            ['r2' => 'reverse', 'r1' => 'forward', 'f1' => 'forward'],
        );
        $job->entry('thread', ['adjuster' => 'bracket', 'steps' => 0]);
        self::assertSame(TableAdviceKind::OutOfReach, self::advice($job)->kind);
        self::assertSame(
            'By what was seen (R2 reverse, R1 forward, F1 forward) no position is left: the slotted bracket has no room left that way. Suspect a bent arm or bracket, or a worn or wrong part.',
            self::advice($job)->sentence,
        );
    }

    /** A slot that nobody measured is no longer for that: once all of it was gone along, it is not asked for again. */
    public function test_what_nobody_saw_is_moved_no_further_than_its_whole_slot(): void
    {
        $seen = ['r1' => 'reverse', 'f1' => 'reverse'];
        $job = self::seen(self::selector(['R1' => -1, 'F1' => 1], 12.0, 0.0, 1), $seen);
        $job->entry('thread', ['adjuster' => 'bracket', 'unseen' => true]);
        $advice = self::advice($job);
        while ($advice->kind === TableAdviceKind::Move) {
            $job->entry('move', ['adjuster' => 'bracket', 'steps' => $advice->steps?->toFloat()]);
            $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'bracket']);
            foreach ($seen as $setting => $saw) {
                $job->entry('outcome', ['setting' => $setting, 'saw' => $saw]);
            }
            self::assertLessThan(25, count($job->state->facts->readings->moves), 'it does not come to an end');
            $advice = self::advice($job);
        }
        $slot = $job->state->run->adjuster('bracket')?->travel()->length()->toFloat() ?? 0.0;
        $moved = array_sum(array_map(
            static fn (MoveMade $one): float => $one->entry->steps?->toFloat() ?? 0.0,
            $job->state->facts->readings->moves,
        ));
        self::assertLessThanOrEqual($slot, abs($moved));
        self::assertSame(TableAdviceKind::OutOfReach, $advice->kind);
        self::assertStringContainsString('the slotted bracket has no room left that way', $advice->sentence);
    }

    public function test_with_less_room_than_the_middle_asks_for_the_whole_window_is_looked_at(): void
    {
        // R1 forward and F1 reverse at spacing 6 would contradict; R2 reverse, R1 forward: the offset lies between 6
        // and 12, and −12 to −6 is certain.
        $job = self::seen(
            self::selector(['R2' => -2, 'R1' => -1, 'F1' => 1], 6.0, 0.0, 1),
            ['r2' => 'reverse', 'r1' => 'forward', 'f1' => 'forward'],
        );
        $job->entry('thread', ['adjuster' => 'bracket', 'steps' => 7]);
        $advice = self::advice($job);
        self::assertSame(
            [TableAdviceKind::Move, true],
            [$advice->kind, $advice->isCertain],
            '7 mm are left where 9 were aimed at, and 6 would do',
        );
        self::assertEqualsWithDelta(-7.0, $advice->shift, 1e-9);
        $job->entry('thread', ['adjuster' => 'bracket', 'steps' => 4]);
        self::assertSame(
            [TableAdviceKind::Move, false],
            [self::advice($job)->kind, self::advice($job)->isCertain],
            'four may do, and no part is blamed before',
        );
    }

    /**
     * @return iterable<string, array{int, int, int}> how many cables are out, machines of 60 that must end right, and
     *     moves at the most
     */
    public static function cablesOut(): iterable
    {
        yield 'one cable out' => [1, 60, 14];
        yield 'two cables out' => [2, 36, 61];
    }

    public function test_the_cable_that_cured_it_last_time_is_proposed_first(): void
    {
        $table = Families::of(FamilyKey::ModeCables)->starting()->aims[0];
        self::assertInstanceOf(OutcomeTable::class, $table);
        $cables = ['mode_bevels', 'park_bevels', 'differential_bevels'];
        foreach ($cables as $cable) {
            $job = TestJob::table('mode_cables', $table, $cables, ['cured' => $cable]);
            foreach (array_keys($table->settings) as $mode) {
                $job->entry('outcome', ['setting' => $mode, 'saw' => $mode === 'two_wheel' ? 'under' : 'right']);
            }
            self::assertSame($cable, self::advice($job)->adjuster);
            self::assertStringContainsString('It cured it last time', self::advice($job)->how);
        }
    }

    /** Each cable moves each mode its own way far, which nobody knows. */
    #[DataProvider('cablesOut')]
    public function test_every_cable_can_cure_every_mode_and_how_much_is_learned(int $out, int $least, int $most): void
    {
        $chance = new Chance(4711);
        $right = 0;
        for ($case = 0; $case < 60; $case++) {
            $table = Families::of(FamilyKey::ModeCables)->starting()->aims[0];
            self::assertInstanceOf(OutcomeTable::class, $table);
            $job = TestJob::table('mode_cables', $table, ['mode_bevels', 'park_bevels', 'differential_bevels']);
            $weights = [];
            foreach (array_keys($table->settings) as $mode) {
                foreach (array_keys($table->movers) as $cable) {
                    $weights[$mode][$cable] = $chance->between(0.3, 1.5);
                }
            }
            $offsets = array_fill_keys(array_keys($table->movers), 0.0);
            for ($first = $chance->whole(0, 2), $n = 0; $n < $out; $n++) {
                $offsets[array_keys($offsets)[($first + $n) % 3]] = ($chance->whole(0, 1) === 0
                    ? -1
                    : 1) * $chance->between(8.0, 40.0);
            }
            self::modesPlayed($job, $offsets, $weights);
            $advice = self::advice($job);
            for ($moves = 0; $advice->kind === TableAdviceKind::Move; $moves++) {
                self::assertLessThanOrEqual(
                    24.0 + 1e-9,
                    abs(($advice->steps ?? self::fail('a move of nothing'))->toFloat()) * 6,
                    'four turns of six bevels at the most',
                );
                self::assertLessThan($most, $moves, "case {$case}");
                $offsets = self::moved($job, $advice, $offsets, $chance, true);
                self::modesPlayed($job, $offsets, $weights);
                $advice = self::advice($job);
                self::assertNotSame(
                    TableAdviceKind::Contradiction,
                    $advice->kind,
                    "case {$case}: a good machine is blamed",
                );
            }
            $right += (int) ($advice->kind === TableAdviceKind::Right);
        }
        self::assertGreaterThanOrEqual($least, $right);
    }

    /**
     * @param  array<string, float>  $offsets
     * @param  array<string, array<string, float>>  $weights
     */
    private static function modesPlayed(TestJob $job, array $offsets, array $weights): void
    {
        foreach ($job->state->judgement->table->table->settings ?? [] as $setting) {
            $at = 0.0;
            foreach ($offsets as $cable => $offset) {
                $at += $weights[$setting->key][$cable] * $offset;
            }
            $job->entry(
                'outcome',
                ['setting' => $setting->key, 'saw' => abs($at) <= 5.0 ? 'right' : ($at < 0 ? 'under' : 'over')],
            );
        }
    }

    public function test_a_random_offset_of_a_selector_is_bracketed_and_found(): void
    {
        $this->converges(300, 5, static function (Chance $chance): array {
            $spacing = $chance->between(4.0, 9.0);
            $truth = ['bracket' => $chance->between(-1.9, 1.9) * $spacing];

            return [
                self::selector(
                    ['R2' => -2, 'R1' => -1, 'F1' => 1, 'F2' => 2],
                    $spacing,
                    $chance->between(0.0, 0.2) * $spacing,
                    1,
                ),
                $truth,
            ];
        });
    }

    public function test_a_random_place_of_a_rung_is_found_from_creeping_and_slow(): void
    {
        $this->converges(
            100,
            9,
            static fn (Chance $chance): array => [
                TestJob::table(
                    'sliding_drive',
                    OutcomeTable::of(
                        'conduit',
                        'rung',
                        'towards more drive',
                        'towards less drive',
                        self::settings(SlidingDrive::table('rungs')),
                        [Mover::of('bracket', 1.0, 1, 0.0)],
                        1.0,
                        2.0,
                    ),
                ),
                ['bracket' => (float) $chance->whole(-8, 8)],
            ],
        );
    }

    public function test_random_offsets_of_a_mode_arm_are_bracketed_one_cable_at_a_time(): void
    {
        $this->converges(100, 12, static fn (Chance $chance): array => [self::modes(), match ($chance->whole(0, 2)) {
            0 => ['mode' => $chance->between(-14.0, 14.0), 'park' => 0.0, 'differential' => 0.0],
            1 => ['mode' => 0.0, 'park' => $chance->between(-14.0, 14.0), 'differential' => 0.0],
            default => ['mode' => 0.0, 'park' => 0.0, 'differential' => $chance->between(-14.0, 14.0)],
        }]);
    }

    public function test_two_and_three_cables_out_at_once_are_brought_right_one_after_the_other(): void
    {
        $this->converges(
            60,
            30,
            static fn (Chance $chance): array => [
                self::modes(),
                [
                    'mode' => $chance->between(-12.0, 12.0),
                    'park' => $chance->between(-12.0, 12.0),
                    'differential' => $chance->whole(0, 1) * $chance->between(-12.0, 12.0),
                ],
            ],
            0.85,
        );
    }

    /**
     * Plays the machine: says what it does at each setting for its hidden offsets, makes the moves that are advised
     * with up to the stated error, and sees that the bounds never lose the truth and that it ends right or says that it
     * cannot.
     *
     * @param  callable(Chance): array{TestJob, array<string, float>}  $make
     * @param  float  $share  of the machines that must end right; the others must say that they do not
     */
    private function converges(int $cases, int $mostMoves, callable $make, float $share = 0.95): void
    {
        $chance = new Chance(90_210);
        $right = 0;
        for ($case = 0; $case < $cases; $case++) {
            [$job, $offsets] = $make($chance);
            $where = "seed {$chance->seed}, case {$case}";
            self::play($job, $offsets);
            $advice = self::advice($job);
            for ($moves = 0; $advice->kind === TableAdviceKind::Move; $moves++) {
                self::assertLessThan($mostMoves, $moves, "{$where}: it does not come to an end");
                $offsets = self::moved($job, $advice, $offsets, $chance);
                self::play($job, $offsets);
                $advice = self::advice($job);
                self::assertNotSame(TableAdviceKind::Contradiction, $advice->kind, "{$where}: the truth was lost");
            }
            self::assertContains($advice->kind, [TableAdviceKind::Right, TableAdviceKind::OutOfReach], $where);
            $right += $advice->kind === TableAdviceKind::Right ? 1 : 0;
        }
        self::assertGreaterThanOrEqual($share * $cases, $right);
    }

    /**
     * Makes the move that is advised, as well as a hand can.
     *
     * @param  array<string, float>  $offsets
     * @return array<string, float>
     */
    private static function moved(
        TestJob $job,
        TableAdvice $advice,
        array $offsets,
        Chance $chance,
        bool $exactly = false,
    ): array {
        $mover = $job->state->judgement->table?->table->movers[$advice->adjuster ?? '']
            ?? self::fail('nothing to move');
        $counting = $job->state->run->adjuster($mover->adjuster)?->counting() ?? self::fail('no adjuster');
        $steps = $advice->steps ?? self::fail('no steps');
        $job->entry('move', ['adjuster' => $mover->adjuster, $counting->unit->field() => $steps->toFloat()]);
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => $mover->adjuster]);
        $true = $exactly ? 1.0 : $chance->between(1 - $mover->error, 1 + $mover->error);
        $units = $steps->count / $counting->each->count;
        $offsets[$mover->adjuster] += ($mover->sign ?? 1) * ($mover->perStep ?? 1.0) * $units * $true;

        return $offsets;
    }

    /** @param  array<string, float>  $offsets */
    private static function play(TestJob $job, array $offsets): void
    {
        $table = $job->state->judgement->table->table ?? self::fail('no table');
        foreach ($table->settings as $setting) {
            $at = $setting->at;
            foreach ($offsets as $adjuster => $offset) {
                $at += $setting->weight($adjuster) * $offset;
            }
            foreach ($setting->sees as $word) {
                if (! $word->provesNothing && $at >= ($word->low ?? -INF) && $at <= ($word->high ?? INF)) {
                    $job->entry('outcome', ['setting' => $setting->key, 'saw' => $word->key]);
                    break;
                }
            }
        }
    }

    /** @param  array<string, string>  $saw */
    private static function seen(TestJob $job, array $saw): TestJob
    {
        while (($item = $job->state->progress->asks()) !== null && ! str_starts_with($item->key, 'found:')) {
            $job->line('ok');
        }
        foreach ($saw as $setting => $word) {
            $job->entry('outcome', ['setting' => $setting, 'saw' => $word]);
        }
        while (
            str_starts_with($job->state->progress->asks()->key ?? '', 'found:')
            && ! str_starts_with($job->state->progress->asks()->key ?? '', 'found:outcome')
        ) {
            $job->line('yes');
        }
        while (str_starts_with($job->state->progress->asks()->key ?? '', 'thread:')) {
            $job->line('ok');
        }

        return $job;
    }

    private static function advice(TestJob $job): TableAdvice
    {
        return TablePlanner::advise(
            $job->state->spec,
            $job->state->judgement->table ?? self::fail('no table'),
            $job->state->run,
            $job->state->facts,
        );
    }

    /** Cables that no book has: what is advised can be turned, and leaves the thread that must be engaged. */
    public function test_no_advice_goes_beyond_a_thread_or_leaves_too_little_of_it(): void
    {
        $moves = 0;
        foreach ([FamilyKey::ModeCables, FamilyKey::SpeedSelector] as $key) {
            for ($seed = 0; $seed < 60; $seed++) {
                $job = MadeUp::job($key, 20_000 + $seed);
                Walk::through($job, $seed, 30, "{$key->value}, seed {$seed}");
                $moves += count($job->state->facts->readings->moves);
            }
        }
        self::assertGreaterThan(30, $moves, 'each was looked at on the way');
    }

    /** @return non-empty-list<OutcomeSetting> */
    private static function settings(OutcomeTable $table): array
    {
        $settings = array_values($table->settings);
        self::assertNotSame([], $settings);

        return $settings;
    }

    /** @param  non-empty-array<string, int>  $detents */
    private static function selector(array $detents, ?float $spacing, float $deadBand, ?int $sign): TestJob
    {
        return TestJob::table(
            'speed_selector',
            SpeedSelector::table($detents, $spacing, $deadBand, [Mover::of('bracket', 1.0, $sign, 0.15)]),
        );
    }

    private static function modes(float $parkOnMode = 0.5): TestJob
    {
        $mode = static fn (string $key, array $weights): array => [
            'key' => $key, 'label' => $key, 'at' => 0.0, 'right' => 'as it should', 'under' => 'not far enough',
            'over' => 'too far', 'weights' => $weights,
        ];

        return TestJob::table('mode_cables', ModeCables::table([
            $mode('park', $parkOnMode > 0.0 ? ['park' => 1.0, 'mode' => $parkOnMode] : ['park' => 1.0]),
            $mode('two_wheel', ['mode' => 1.0]),
            $mode('turf', ['mode' => 1.0, 'differential' => 1.0]),
        ], 5.0, [
            Mover::of('mode', 1.0, 1, 0.1),
            Mover::of('park', 1.0, 1, 0.1),
            Mover::of('differential', 1.0, 1, 0.1),
        ]), ['mode', 'park', 'differential']);
    }
}
