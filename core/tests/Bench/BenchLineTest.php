<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\TestJob;

final class BenchLineTest extends TestCase
{
    public function test_a_value_is_a_reading_with_what_was_shown(): void
    {
        $draft = self::draft('25.3');
        self::assertSame(EntryKind::Reading, $draft->kind);
        self::assertSame([
            'mm' => 25.3, 'entered' => '25.3', 'written_step_mm' => 0.0, 'point' => 'lever_tip', 'pose' => 'straight',
            'instrument' => 'caliper', 'engine' => 'cold',
        ], $draft->body);
    }

    public function test_a_coin_is_a_reading_with_the_coin(): void
    {
        $draft = self::draft('nickel');
        self::assertSame([1.95, 'coin'], [$draft->body['mm'], $draft->body['instrument']]);
    }

    public function test_a_fraction_is_as_fine_as_its_instrument_unless_it_was_written_coarser(): void
    {
        $draft = self::draft('1 1/32 in');
        self::assertEqualsWithDelta(25.4 * 33 / 32, $draft->body['mm'], 1e-12);
        self::assertSame(0.0, $draft->body['written_step_mm']);
        self::assertSame(0.0, self::draft('1/2 in')->body['written_step_mm'], 'half an inch is half an inch');
        self::assertEqualsWithDelta(25.4 / 8, self::draft('4/8 in')->body['written_step_mm'], 1e-12);
    }

    /** @return iterable<string, array{string, float}> */
    public static function moves(): iterable
    {
        yield 'turns out' => ['+1t', 1.0];
        yield 'half turns' => ['+1.5t', 1.5];
        yield 'flats in' => ['-2f', -2 / 6];
        yield 'turns and flats' => ['+1t2f', 8 / 6];
        yield 'with spaces and words' => ['- 1 turn 3 flats', -1.5];
        yield 'a fraction of a turn' => ['+1/4t', 0.25];
        yield 'a real minus sign' => ['−3f', -0.5];
        yield 'half a turn, in words' => ['half a turn out', 0.5];
        yield 'a half of print' => ['½ turn in', -0.5];
        yield 'a half of print, with its sign' => ['+1½t', 1.5];
        yield 'a quarter, in words' => ['-quarter turn', -0.25];
        yield 'flats in words' => ['two flats in', -2 / 6];
    }

    #[DataProvider('moves')]
    public function test_a_sign_and_a_letter_are_a_move_of_the_adjuster_shown(string $line, float $turns): void
    {
        $draft = self::draft($line);
        self::assertSame(EntryKind::Move, $draft->kind);
        self::assertSame('bracket', $draft->body['adjuster']);
        self::assertEqualsWithDelta($turns, $draft->body['turns'], 1e-12);
    }

    public function test_inches_are_a_reading_and_no_way_in(): void
    {
        foreach (['1/2 in', '4 in', '1 1/2 in'] as $line) {
            self::assertSame(EntryKind::Reading, self::draft($line)->kind, $line);
        }
        self::assertSame(EntryKind::Move, self::draft('4 turns in')->kind);
    }

    public function test_done_is_the_move_that_was_shown(): void
    {
        self::assertEqualsWithDelta(5 / 6, self::draft('done', turns: 5 / 6)->body['turns'], 1e-12);
    }

    /** @return iterable<string, array{string, EntryKind, array<string, mixed>}> */
    public static function words(): iterable
    {
        yield 'a note' => ['n boot torn, ordered', EntryKind::Note, ['text' => 'boot torn, ordered']];
        yield 'a tag' => ['tag wire frayed', EntryKind::Tag, ['reason' => 'wire frayed']];
        yield 'a policy' => ['aim loose', EntryKind::Policy, ['policy' => 'loose']];
        yield 'the state, shortly' => ['hot', EntryKind::Condition, ['engine' => 'hot']];
        yield 'the state on a stand' => [
            'cold stand',
            EntryKind::Condition,
            ['engine' => 'cold', 'wheels' => 'on_stand'],
        ];
        yield 'a thread' => ['thread 3.1', EntryKind::Thread, ['adjuster' => 'bracket', 'showing_mm' => 3.1]];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('words')]
    public function test_words_begin_other_entries(string $line, EntryKind $kind, array $body): void
    {
        $draft = self::draft($line);
        self::assertSame($kind, $draft->kind);
        self::assertSame($body, $draft->body);
    }

    public function test_the_words_on_the_answers_answer_the_item_shown(): void
    {
        self::assertSame(['key' => 'engine_off'], self::draft('ok', item: 'engine_off')->body);
        self::assertSame(
            ['key' => 'perch', 'finding' => 'noted', 'remark' => 'boot torn'],
            self::draft('noted boot torn', item: 'perch')->body,
        );
        self::assertSame(['key' => 'bite', 'answer' => 'late'], self::draft('late', item: 'check:bite')->body);
    }

    public function test_where_a_thread_is_asked_for_a_bare_value_is_that_thread(): void
    {
        $draft = self::draft('3.1', item: 'thread:perch', adjuster: 'perch');
        self::assertSame(
            [EntryKind::Thread, ['adjuster' => 'perch', 'showing_mm' => 3.1]],
            [$draft->kind, $draft->body],
        );
    }

    public function test_turns_or_words_where_a_thread_is_asked_for_are_told_what_shows(): void
    {
        foreach (['2 turns', '2t', '6 flats', 'flush', 'all the way in', 'half way'] as $line) {
            try {
                self::draft("thread {$line}");
                self::fail("{$line} is read");
            } catch (NotUnderstood $no) {
                self::assertStringStartsWith(
                    "“{$line}” does not say how much thread shows. Type it in mm or in, such as 3.1 mm, or 0 where none does.",
                    $no->getMessage(),
                );
            }
        }
        foreach (['seized', 'Seized', 'stuck'] as $line) {
            self::assertSame(['adjuster' => 'bracket', 'seized' => true], self::draft($line, 'thread:bracket')->body);
        }
    }

    public function test_words_of_the_line_may_begin_with_a_capital_as_phones_write_them(): void
    {
        self::assertEqualsWithDelta(5 / 6, self::draft('Done', turns: 5 / 6)->body['turns'], 1e-12);
        self::assertSame(EntryKind::Note, self::draft('N boot torn')->kind);
        self::assertSame(EntryKind::Tag, self::draft('Tag wire frayed')->kind);
        self::assertSame(EntryKind::Condition, self::draft('Cold')->kind);
        $this->expectExceptionMessage('No adjuster was turned to its stop.');
        self::draft('Stop');
    }

    public function test_v_takes_back_the_last_entry_of_ones_own(): void
    {
        $job = TestJob::clutch()->ready()->read(25);
        $mine = $job->last();
        $job->as(TestJob::oda())->read(26);
        $draft = BenchLine::read('v misread', self::shown(), $job->state, TestJob::ines());
        self::assertSame(['entry' => $mine, 'reason' => 'misread'], $draft->body);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'a gauge with a sign, which could be either' => [
            '+4.20',
            'Is +4.20 a reading or a move? Type 4.20 for a reading, or +4.20t for turns and +4.20f for flats.',
        ];
        yield 'a bare minus' => [
            '-3',
            'Is -3 a reading or a move? Type 3 for a reading, or -3t for turns and -3f for flats.',
        ];
        yield 'steps this adjuster does not count in' => [
            '+3c',
            'Read “+3c” as a move, but “c” is no step of it. The engine bracket counts in turns and flats: +1t, -2f or +1t2f.',
        ];
        yield 'turns without a way' => [
            'half turn',
            'Read “half turn” as a move, but not which way. Type 1/2 turn out, or 1/2 turn in.',
        ];
        yield 'turns and flats without a way' => [
            '1t2f',
            'Read “1t2f” as a move, but not which way. Type 1t2f out, or 1t2f in.',
        ];
        yield 'a way that depends on where one stands' => [
            '2 flats clockwise',
            'Read “2 flats clockwise” as a move, but not which way. Type 2 flats out, or 2 flats in.',
        ];
        yield 'a way without its steps' => [
            '1/4 out',
            'Is +1/4 a reading or a move? Type 1/4 for a reading, or +1/4t for turns and +1/4f for flats.',
        ];
        yield 'with the name of the adjuster' => [
            'bracket +1t',
            'Read “bracket +1t” as a move, but not all of it. Type the move alone; the screen shows of which adjuster. The engine bracket counts in',
        ];
        yield 'an angle where a length is due' => [
            '90°',
            'Read 90°, which is an angle; play is a length. Type it in mm or in.',
        ];
        yield 'a move of nothing' => ['+0t', 'A move of nothing is no move. Type how far it was turned, such as +2f.'];
        yield 'more turns than any thread has' => ['+900t', 'Read +900t, but no adjuster has that many turns.'];
        yield 'a note without words' => ['n ', 'A note needs its words, such as: n boot torn, ordered.'];
        yield 'taken back without a reason' => [
            'v',
            'Taking an entry back needs a reason, such as: v misread the rule.',
        ];
        yield 'a tag without a reason' => ['tag', 'A tag needs its reason, such as: tag throttle sticks, bars right.'];
        yield 'a force where a length is due' => [
            '12 N',
            'Read 12 N, which is a force; play is a length. Type it in mm or in.',
        ];
        yield 'yes to nothing' => ['yes', '“yes” answers a question, but none is open.'];
        yield 'a place in no band' => [
            'aim high',
            '“high” is no place in the band to aim for. Type aim middle, aim crisp or aim loose.',
        ];
        yield 'a state of nothing' => ['cold lifted', 'Read cold, but not “lifted”. Type cold, or cold stand.'];
        yield 'done with nothing shown' => [
            'done',
            'No move was shown, so there is none to call done. Log what you turned, such as +3f.',
        ];
    }

    #[DataProvider('refused')]
    public function test_what_means_nothing_here_gets_a_sentence(string $line, string $sentence): void
    {
        $this->expectException(CoreError::class);
        $this->expectExceptionMessage($sentence);
        self::draft($line);
    }

    public function test_a_reading_before_the_state_is_known_asks_for_it(): void
    {
        $this->expectExceptionMessage('Say first how the machine stands: cold or hot');
        BenchLine::read('25.3', self::shown(), TestJob::clutch()->state, TestJob::ines());
    }

    public function test_ten_kilobytes_are_refused_in_a_short_sentence(): void
    {
        try {
            self::draft(str_repeat('abcdefghij', 1024));
            self::fail('It was read.');
        } catch (CoreError $refused) {
            self::assertLessThan(160, mb_strlen($refused->getMessage()));
        }
    }

    public function test_random_lines_are_read_or_refused_and_nothing_else(): void
    {
        $chance = new Chance(5150);
        $words = [
            '+', '-', '1', '2.5', 't', 'f', ' ', 'ok', 'no', 'n ', 'v ', 'tag ', 'thread ', 'aim ', 'cold', '/', ',',
            'in', 'mm', '½', "\xc3", 'done',
        ];
        $state = TestJob::clutch()->ready()->read(25, 25, 25)->state;
        $answered = 0;
        for ($i = 0; $i < 2000; $i++) {
            $line = '';
            for ($n = $chance->whole(0, 5); $n >= 0; $n--) {
                $line .= $words[$chance->whole(0, count($words) - 1)];
            }
            try {
                BenchLine::read($line, self::shown(), $state, TestJob::ines());
            } catch (CoreError $refused) {
                self::assertTrue(mb_check_encoding($refused->getMessage(), 'UTF-8'), "seed {$chance->seed}, case {$i}");
            }
            $answered++;
        }
        self::assertSame(2000, $answered);
    }

    private static function draft(
        string $line,
        ?string $item = null,
        ?float $turns = null,
        string $adjuster = 'bracket',
    ): Draft {
        return BenchLine::read(
            $line,
            self::shown($item, $turns, $adjuster),
            TestJob::clutch()->ready()->state,
            TestJob::ines(),
        );
    }

    private static function shown(?string $item = null, ?float $turns = null, string $adjuster = 'bracket'): Shown
    {
        return new Shown($adjuster, $turns, Pose::Straight, null, 'caliper', $item);
    }

    public function test_how_it_is_set_is_typed_too(): void
    {
        $job = TestJob::clutch()->ready();
        self::assertSame('service', $job->line('Service')->state->facts->chosen->mode?->value);
        self::assertSame('touch_up', $job->line('touch-up')->state->facts->chosen->mode?->value);
        self::assertSame('middle', $job->line('park middle')->state->facts->chosen->parking?->value);
        self::assertSame('in_then_back', $job->line('park IN')->state->facts->chosen->parking?->value);
        self::assertSame(
            'Type park threads, park in or park middle.',
            $job->refusal(static fn (TestJob $one) => $one->line('park')),
        );
        self::assertSame(
            '“garage” is no parking place. Type park threads, park in or park middle.',
            $job->refusal(static fn (TestJob $one) => $one->line('park garage')),
        );
    }

    public function test_what_is_typed_where_no_button_answers_is_said(): void
    {
        $job = TestJob::clutch()->ready()->read(25.0, 25.0, 25.0);
        self::assertSame(
            '“ok” answers a question, but “Bring it inside the band” is none. Type a reading; done for the move that is shown; or another move, such as: +2f, or +1r.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->line('ok', 'in_band')),
        );
    }

    public function test_a_bare_amount_is_asked_about_in_the_steps_of_what_is_here(): void
    {
        $job = TestJob::of(
            [
                'family' => 'sliding_drive',
                'aim' => ['kind' => 'free_play_band', 'point' => 'handle_travel', 'low_mm' => 6, 'high_mm' => 13],
            ],
            [
                'hand' => ['kind' => 'handle', 'name' => 'Drive handle'],
                'cables' => [[
                    'id' => 'drive',
                    'name' => 'Drive cable',
                    'adjusters' => [[
                        'id' => 'clamp',
                        'name' => 'rung clamp',
                        'kind' => 'rung_clamp',
                        'mm_per_step' => 2.5,
                        'travel_steps' => ['from' => 1, 'to' => 12],
                    ]],
                ]],
                'working_end' => 'drive',
            ],
            ['clamp' => 5.0],
        );
        self::assertSame(
            'Is +1 a reading or a move? Type 1 for a reading, or +1r for rungs.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->line('+1', 'in_band')),
        );
    }
}
