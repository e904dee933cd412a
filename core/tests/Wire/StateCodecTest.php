<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\StateCodec;

final class StateCodecTest extends TestCase
{
    public function test_every_figure_carries_its_unit_in_its_key(): void
    {
        $adjuster = self::state(TestJob::clutch()->ready())['adjusters'][0];
        self::assertSame(
            ['M8 × 1.25', 1.25, 11.0, 2.5],
            [$adjuster['thread'], $adjuster['mm_per_unit'], $adjuster['travel_mm'], $adjuster['at_mm']],
        );
        self::assertSame([0.0, 5.5], [$adjuster['healthy_from_mm'], $adjuster['healthy_to_mm']]);
    }

    public function test_stages_tell_how_far_they_are(): void
    {
        $job = TestJob::clutch()->line('ok')->line('ok');
        $stages = array_column(self::state($job)['stages'], null, 'key');
        self::assertSame(['2 of 5 confirmed', false], [$stages['make_safe']['summary'], $stages['make_safe']['done']]);
        self::assertSame('not read yet', $stages['as_found']['summary']);
        $job->ready()->read(25.5, 25, 25.5);
        $stages = array_column(self::state($job)['stages'], null, 'key');
        self::assertSame('25.3 mm, too loose by 5.3', $stages['as_found']['summary']);
        self::assertTrue($stages['look_over']['done']);
        self::assertFalse($stages['prove']['done'], 'a later stage is not ticked while an earlier one lacks something');
    }

    public function test_an_answered_item_says_what_who_and_when(): void
    {
        $item = self::state(TestJob::clutch()->line('ok'))['stages'][0]['items'][0];
        self::assertSame(
            ['engine_off', true, 'Done', 'Ines'],
            [$item['key'], $item['done'], $item['said'], $item['by']],
        );
        self::assertSame('2026-03-03T08:00:02+00:00', $item['at']);
        self::assertSame('ok', $item['answers'][0]['word']);
    }

    /** What shows forces is no finer than a rule, and a feeler gauge does not reach over 19.7 mm. */
    public function test_where_a_finer_instrument_would_tell_those_of_the_shelf_that_reach_are_named(): void
    {
        $shelf = [
            ['id' => 'rule', 'name' => 'Rule', 'kind' => 'steel_rule', 'resolution_mm' => 0.5, 'reach_mm' => 300],
            ['id' => 'pocket', 'name' => 'Pocket', 'kind' => 'caliper', 'resolution_mm' => 0.1, 'reach_mm' => 100],
            ['id' => 'feeler', 'name' => 'Feeler', 'kind' => 'feeler', 'resolution_mm' => 0.05, 'reach_mm' => 3],
            ['id' => 'pull', 'name' => 'Pull', 'kind' => 'force_gauge', 'resolution_n' => 0.1, 'reach_n' => 500],
            ['id' => 'caliper', 'name' => 'Caliper', 'kind' => 'caliper', 'resolution_mm' => 0.05, 'reach_mm' => 150],
        ];
        $job = TestJob::clutch(standing: ['shelf' => $shelf])->ready()->read(19.5, 20.0, 19.5);
        $next = self::state($job)['next'];
        self::assertSame(['decide', 'finer'], [$next['kind'], $next['settled_by']], $next['sentence']);
        self::assertSame(['caliper', 'pocket'], $next['finer']);

        $job->instrument = 'caliper';
        $next = self::state($job->read(19.7))['next'];
        self::assertSame([null, []], [$next['settled_by'], $next['finer']], $next['sentence']);
    }

    public function test_the_move_is_told_with_the_side_it_is_seen_from(): void
    {
        $next = self::state(TestJob::clutch()->ready()->read(25.5, 25, 25.5))['next'];
        $options = array_column($next['options'], null, 'adjuster');
        self::assertSame(
            ['out', 'anticlockwise', 'seen from the cable'],
            [$options['perch']['direction'], $options['perch']['rotation'], $options['perch']['seen_from']],
        );
        self::assertSame('clockwise', $options['bracket']['rotation'], 'nuts on a standing thread turn the other way');
        self::assertSame('perch', $next['recommended']);
    }

    public function test_what_the_book_tightens_is_told_with_the_figure(): void
    {
        $job = TestJob::clutch(['book' => ['torques' => [
            ['what' => 'Perch clamp', 'nm' => 6],
            ['what' => 'Bracket nuts', 'nm' => 8.5],
        ]]]);
        self::assertEquals(
            [['what' => 'Perch clamp', 'nm' => 6.0], ['what' => 'Bracket nuts', 'nm' => 8.5]],
            self::state($job)['spec']['torques'],
        );
        self::assertSame([], self::state(TestJob::clutch())['spec']['torques']);
    }

    public function test_after_a_move_it_foretells_the_reading(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        self::assertNull(self::state($job)['expected']);
        $expected = self::state($job->line('+1t'))['expected'];
        self::assertEqualsWithDelta(25.333 - 3.4737 * 1.25, $expected['mm'], 0.1);
        self::assertTrue($expected['low_mm'] < $expected['mm'] && $expected['mm'] < $expected['high_mm']);
        self::assertNull(self::state($job->read(21))['expected']);
    }

    public function test_what_was_learned_is_told_by_the_turn(): void
    {
        $learned = self::state(
            TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+1t')->read(21, 21, 20.5),
        )['learned'];
        self::assertTrue($learned['taught']);
        self::assertEqualsWithDelta(-1.25 * $learned['ratio'], $learned['per_step'][0]['mm'], 1e-12);
        self::assertEqualsWithDelta(
            1.96 * 1.25 * $learned['ratio_deviation'],
            $learned['per_step'][0]['expanded_mm'],
            1e-12,
        );
    }

    public function test_the_way_home_leads_back(): void
    {
        $job = TestJob::clutch()->ready()->line('+1t2f', 'in_band');
        $job->adjuster = 'bracket';
        $job->line('-3f', 'in_band');
        self::assertSame([['perch', 'in 1 turn and 2 flats'], ['bracket', 'out 3 flats']],
            array_map(static fn (array $leg): array => [$leg['adjuster'], $leg['say']], self::state($job)['way_home']));
        $job->adjuster = 'perch';
        $job->line('-1t2f', 'in_band');
        self::assertSame(
            ['bracket'],
            array_column(self::state($job)['way_home'], 'adjuster'),
            'what is home already is not listed',
        );
    }

    public function test_the_log_speaks_the_trades_words(): void
    {
        $job = TestJob::throttle()->ready()->read(4)->readIn(Pose::Left, 3.5);
        $job
            ->line('nickel', 'in_band')
            ->line('3/32', 'in_band')
            ->line('+2f', 'in_band')
            ->line('n boot torn')
            ->line('aim crisp');
        $job
            ->entry('move', ['adjuster' => 'grip', 'uncounted' => true])
            ->entry('cover', ['adjuster' => 'grip', 'off' => true]);
        $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'right']);
        $said = array_column(self::state($job)['log'], 'what');
        foreach ([
            'Job opened',
            'Engine off, key out',
            'Inner wire: sound',
            'Cold, on its wheels',
            'Read 4 mm at the grip flange, bars straight',
            'Read 3.5 mm at the grip flange, bars full left',
            'grip adjuster out 2 flats',
            'boot torn',
            'Aim for the crisp side',
            'grip adjuster turned, not counted',
            'Boot off',
            'Opened fully and let go: snaps shut by itself, bars full right: yes',
        ] as $words) {
            self::assertContains($words, $said);
        }
        self::assertStringContainsString('nickel', implode(' ', $said));
        self::assertStringContainsString('3/32', implode(' ', $said));
    }

    public function test_a_group_is_told_once_at_its_last_reading(): void
    {
        $rows = array_values(array_filter(
            self::state(TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+1t')->read(21, 21))['log'],
            static fn (array $row): bool => $row['kind'] === 'reading',
        ));
        self::assertSame([null, null, 3, null, 2], array_column($rows, 'count'));
        self::assertEqualsWithDelta(21 - 76 / 3, $rows[4]['change_mm'], 1e-9);
        self::assertSame(
            ['Outside: too loose by 5.3', 'Outside: too loose by 1.0'],
            [$rows[2]['says'], $rows[4]['says']],
        );
    }

    public function test_a_voided_entry_stays_with_its_reason_and_cannot_be_touched_again(): void
    {
        $job = TestJob::clutch()->ready()->read(52)->line('v misread');
        $row = array_values(array_filter(
            self::state($job)['log'],
            static fn (array $row): bool => $row['kind'] === 'reading',
        ))[0];
        self::assertSame(['misread', false, false], [$row['voided'], $row['can_void'], $row['can_amend']]);
    }

    public function test_an_overdue_instrument_is_warned_of(): void
    {
        $shelf = [[
            'id' => 'caliper',
            'name' => 'Caliper',
            'kind' => 'caliper',
            'resolution_mm' => 0.05,
            'calibration' => ['expanded_mm' => 0.04, 'factor' => 2, 'due' => '2026-03-02'],
        ]];
        $job = TestJob::clutch(standing: ['shelf' => $shelf] + TestJob::standing())->ready();
        $job->instrument = 'caliper';
        self::assertContains(
            'The Caliper was due for calibration on 2026-03-02.',
            self::state($job->read(15))['warnings'],
        );
    }

    public function test_a_certificate_is_overdue_by_the_day_that_it_was_and_not_by_a_clock_that_is_off(): void
    {
        // Read on 3 March.
        foreach ([['2026-03-02', '2025-03-03', true], ['2026-06-01', '2027-03-03', false]] as [$due, $shown, $is]) {
            $state = self::readAt("{$shown}T08:05:00+00:00", $due);
            self::assertSame($is ? $due : null, StateCodec::encode($state)['found']['overdue_since'], "{$shown} {$due}");
            self::assertSame($is ? $due : null, ClosingRecord::of($state)['found']['overdue_since'] ?? null);
            self::assertSame(
                $is,
                in_array("The Caliper was due for calibration on {$due}.", StateCodec::encode($state)['warnings'], true),
            );
        }
    }

    /** A job begun at 08:00 on 3 March, in which a device whose clock showed this read with a caliper. */
    private static function readAt(string $shown, string $due): BenchState
    {
        $shelf = [[
            'id' => 'caliper',
            'name' => 'Caliper',
            'kind' => 'caliper',
            'resolution_mm' => 0.05,
            'calibration' => ['expanded_mm' => 0.04, 'factor' => 2, 'due' => $due],
        ]];
        $job = TestJob::clutch(standing: ['shelf' => $shelf] + TestJob::standing())->ready();
        $log = $job->state->log;
        $reading = $job->as(TestJob::ines());
        $reading->instrument = 'caliper';
        $reading->read(15);
        $stamp = static fn (string $id, string $at, string $had): Stamp => new Stamp(
            $id,
            $at,
            TestJob::ines(),
            receivedAt: $had,
        );
        $opened = new Opened(
            $stamp('e1', '2026-03-03T08:00:00+00:00', '2026-03-03T08:00:01+00:00'),
            $log->opened->control,
            $log->opened->standing,
        );
        $taken = (new EntryCodec($job->state->run))->entry(
            EntryKind::Reading,
            Node::of($reading->written[count($reading->written) - 1]['body']),
            $stamp('read', $shown, '2026-03-03T08:05:01+00:00'),
        );

        return Bench::replay(
            $job->state->spec,
            $job->state->run,
            Log::of($opened, ...array_slice($log->entries, 1), ...[$taken]),
        );
    }

    public function test_a_routing_fault_is_told_as_one(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 1, 1, 1)->readIn(Pose::Right, 7, 7, 7);
        $state = self::state($job);
        self::assertSame('routing_fault', $state['next']['kind']);
        self::assertStringContainsString('a routing fault, not an adjustment', implode(' ', $state['warnings']));
    }

    public function test_what_is_signed_says_found_left_and_against_what(): void
    {
        $record = ClosingRecord::of(
            TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+2t2f', 'in_band')->read(15, 15, 15.5)->state,
        );
        self::assertEqualsWithDelta(76 / 3, $record['found']['mm'], 1e-9);
        self::assertSame(
            ['too_loose', 'inside', 1],
            [$record['found']['verdict'], $record['left']['verdict'], $record['moves']],
        );
        self::assertSame(
            ['10 to 20 mm at the lever tip', 'test book', 'Steel rule'],
            [$record['spec'], $record['source'], $record['left']['instrument']],
        );
        self::assertNull(ClosingRecord::of(TestJob::clutch()->state)['found']);
    }

    /** @return array<string, mixed> */
    private static function state(TestJob $job): array
    {
        return StateCodec::encode($job->state);
    }

    public function test_whether_an_instrument_can_decide_is_said_of_the_band_that_is_read_for_next(): void
    {
        $warned = static fn (TestJob $job): array => [
            $job->state->progress->asks()?->key,
            array_column(StateCodec::encode($job->state)['shelf'], 'warning', 'id')['rule'],
        ];
        $job = TestJob::throttle(standing: TestJob::standing(['grip' => 0.0, 'carburettor' => 0.2]))
            ->ready()
            ->read(3.6)
            ->readIn(Pose::Left, 0.9, 0.9);
        [$asked, $warning] = $warned($job);
        self::assertSame('pose:straight', $asked);
        self::assertStringStartsWith(
            'The Steel rule cannot decide this band',
            (string) $warning,
            'the poses leave straight half a millimetre',
        );
        self::assertSame(
            ['pose:right', null],
            $warned($job->readIn(Pose::Straight, 3.6)),
            'bars full right have all four of the book',
        );
    }
}
