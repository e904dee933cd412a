<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Input\Node;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\SettledBy;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\MadeUp;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\LogRows;
use VividPull\Core\Wire\RunCodec;

/**
 * The distances of this machine's own lever or grip, measured: a lever moves its reading point by the quotient of its
 * two distances for a millimetre of wire (the law of the lever).
 */
final class HandMeasuredTest extends TestCase
{
    private const GRIP = ['wire_mm' => 15.0, 'point_mm' => ['grip_flange' => 42.0]];

    public function test_what_was_measured_is_the_ratio_from_then_on_and_play_is_read_anew(): void
    {
        $job = TestJob::throttle()->ready()->read(8.0, 8.0, 8.0);
        self::assertEqualsWithDelta(1.4, self::ratio($job->state), 1e-9);
        $job->entry('hand', self::GRIP);
        self::assertEqualsWithDelta(2.8, self::ratio($job->state), 1e-9);
        self::assertSame(Knowledge::Measured, $job->state->run->hand->knowledge);
        self::assertSame('Measured: pull it fully three times and read it anew', $job->state->judgement->now->sentence);
        self::assertSame(PlanKind::Read, $job->state->next()->kind);

        $job->read(8.0, 8.0, 8.0);
        $turn = $job->state->next()->options['grip'];
        self::assertNotNull($turn->steps);
        self::assertNotNull($turn->expected);
        // A turn of a thread of 1 mm moves 2.8 mm at the flange now.
        $slack = $job->state->run->adjuster('grip')?->slackGiven($turn->steps);
        self::assertNotNull($slack);
        self::assertEqualsWithDelta(8.0 + 2.8 * $slack, $turn->expected, 0.15);
        $rows = array_column(LogRows::of($job->state), 'what');
        self::assertContains('Throttle grip measured: drum radius 15 mm, flange radius 42 mm', $rows);
    }

    public function test_what_history_taught_gives_way_to_it(): void
    {
        $taught = ['taught' => ['grip_flange' => ['ln_ratio' => log(0.7), 'spread' => 0.05]]];
        $job = TestJob::throttle(standing: $taught)->ready();
        self::assertEqualsWithDelta(0.7, $job->state->beliefs()->play->ratio(), 0.01);
        $job->entry('hand', self::GRIP);
        self::assertEqualsWithDelta(2.8, $job->state->beliefs()->play->ratio(), 0.1);
    }

    public function test_before_anything_was_read_nothing_is_read_anew(): void
    {
        $job = TestJob::throttle()->ready()->entry('hand', self::GRIP);
        self::assertSame('Not read yet', $job->state->judgement->now->sentence);
        self::assertSame(0, $job->state->facts->readings->setting);
    }

    public function test_what_was_proved_before_it_is_proved_again(): void
    {
        $job = TestJob::throttle()->ready()->read(4.0, 4.0, 4.0)->triedByHand();
        self::assertNotSame([], $job->state->facts->answers->checks);
        $job->entry('hand', self::GRIP);
        self::assertSame([], $job->state->facts->answers->checks);
    }

    public function test_taken_back_the_run_is_as_it_was(): void
    {
        $job = TestJob::throttle()->ready()->entry('hand', self::GRIP);
        $job->line('v misread the rule');
        self::assertEqualsWithDelta(1.4, self::ratio($job->state), 1e-9);
        self::assertFalse($job->state->run->hand->isOfMachine);
    }

    public function test_a_new_lever_has_distances_of_its_own(): void
    {
        $job = TestJob::throttle()->ready()->entry('hand', self::GRIP)->entry('part', ['part' => 'drum']);
        self::assertEqualsWithDelta(1.4, self::ratio($job->state), 1e-9, 'as its model has it');
        self::assertFalse($job->state->run->hand->isOfMachine);
        self::assertEqualsWithDelta(
            2.8,
            self::ratio($job->entry('hand', self::GRIP)->entry('part', ['part' => 'cable'])->state),
            1e-9,
            'a new cable leaves the lever as it is',
        );
    }

    /** What was measured in a job before this one was the old lever too; what its model has is not known here. */
    public function test_a_new_lever_on_a_machine_that_was_measured_before_is_known_no_better_than_drawn(): void
    {
        $run = TestJob::clutchRun();
        $run['hand']['of_machine'] = true;
        $job = TestJob::clutch(run: $run)->ready();
        self::assertTrue($job->state->run->hand->isOfMachine);
        self::assertFalse($job->state->run->hand->isMeasuredHere);
        $job->entry('part', ['part' => 'lever']);
        self::assertSame(Knowledge::Drawn, $job->state->run->hand->knowledge);
        self::assertFalse($job->state->run->hand->isOfMachine);
    }

    public function test_the_closing_cable_of_a_pair_is_read_at_the_same_flange(): void
    {
        $job = TestJob::throttle(
            ['backward' => ['low_mm' => 1, 'high_mm' => 4]],
            cables: [[
                'id' => 'closing',
                'name' => 'Closing cable',
                'pulls' => 'closing',
                'adjusters' => [[
                    'id' => 'return',
                    'name' => 'return adjuster',
                    'kind' => 'in_line',
                    'thread' => 'M6 x 1',
                    'travel_mm' => 10,
                ]],
            ]],
        );
        self::assertNotNull($job->state->second);
        $job->entry('hand', self::GRIP);
        self::assertEqualsWithDelta(
            2.8,
            $job->state->second->run->couplings->at(ReadingPoint::GripBackward)?->value,
            1e-9,
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'a point left out' => [
            ['wire_mm' => 38, 'point_mm' => ['lever_tip' => 132]],
            'Measure these together: pivot to wire, pivot to lever tip, pivot to lever/perch gap.',
        ];
        yield 'a point that it has not' => [
            ['wire_mm' => 38, 'point_mm' => ['lever_tip' => 132, 'perch_gap' => 31, 'grip_flange' => 20]],
            'Measure these together: pivot to wire, pivot to lever tip, pivot to lever/perch gap.',
        ];
        yield 'a slipped decimal point' => [
            ['wire_mm' => 3.8, 'point_mm' => ['lever_tip' => 132, 'perch_gap' => 31]],
            'By that the lever tip would move 34.7 mm for 1 mm of wire, and 3.5 is known of it. Measure both again, and type both in one unit.',
        ];
        yield 'the two the wrong way round' => [
            ['wire_mm' => 132, 'point_mm' => ['lever_tip' => 38, 'perch_gap' => 31]],
            'By that the lever tip would move 0.3 mm for 1 mm of wire, and 3.5 is known of it. Measure both again, and type both in one unit.',
        ];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_refused(array $body, string $sentence): void
    {
        $job = TestJob::clutch()->ready();
        self::assertSame($sentence, $job->refusal(static fn (TestJob $one): TestJob => $one->entry('hand', $body)));
    }

    public function test_where_play_is_not_read_at_the_lever_its_distances_tell_nothing(): void
    {
        $job = TestJob::clutch(['aim' => ['kind' => 'free_play_band', 'point' => 'ferrule_gap', 'low_mm' => 1,
            'high_mm' => 2]], ['hand' => ['kind' => 'lever', 'name' => 'Clutch lever']] + TestJob::clutchRun())
            ->ready();
        $sentence = 'Play is not read at the clutch lever here, so its distances tell nothing of it.';
        foreach (['distances 38 and 132', ['wire_mm' => 38, 'point_mm' => ['lever_tip' => 132]]] as $said) {
            self::assertSame($sentence, $job->refusal(static fn (TestJob $one): TestJob => is_string($said)
                ? $one->line($said)
                : $one->entry('hand', $said)));
        }
    }

    /** @return iterable<string, array{string, Unit, array{float, float}}> */
    public static function typed(): iterable
    {
        yield 'two numbers' => ['distances 15 42', Unit::Millimetre, [15.0, 42.0]];
        yield 'with a word between' => ['Distances 15 and 42', Unit::Millimetre, [15.0, 42.0]];
        yield 'with units' => ['distances 15 mm; 4,2 cm', Unit::Millimetre, [15.0, 42.0]];
        yield 'in inches' => ['distances 1/2 and 1 1/4', Unit::Inch, [12.7, 31.75]];
    }

    /** @param  array{float, float}  $mm */
    #[DataProvider('typed')]
    public function test_it_is_typed_in_one_line(string $line, Unit $unit, array $mm): void
    {
        $job = TestJob::throttle()->ready();
        $job->unit = $unit;
        $hand = $job->line($line)->state->run->hand;
        self::assertEqualsWithDelta($mm, [$hand->wireMm, $hand->pointMm['grip_flange']], 1e-9);
    }

    public function test_what_is_left_out_of_the_line_is_asked_for_in_its_order(): void
    {
        $job = TestJob::clutch()->ready();
        self::assertSame(
            'Type pivot to wire and pivot to lever tip and pivot to lever/perch gap, such as: distances 38 and 132.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->line('distances 38 132')),
        );
    }

    /** It is written with the machine's run, and read again as it was. */
    public function test_a_run_keeps_what_was_measured(): void
    {
        foreach ([TestJob::throttle()->ready()->entry('hand', self::GRIP), TestJob::clutch()->ready()] as $job) {
            $hand = $job->state->run->hand;
            $run = ['hand' => RunCodec::handWritten($hand)] + TestJob::clutchRun();
            $read = RunCodec::decode(Node::of($run))->hand;
            self::assertSame(
                [$hand->kind, $hand->name, $hand->wireMm, $hand->pointMm, $hand->knowledge, $hand->isOfMachine],
                [$read->kind, $read->name, $read->wireMm, $read->pointMm, $read->knowledge, $read->isOfMachine],
            );
            self::assertFalse($read->isMeasuredHere);
        }
    }

    /** Whatever a control is drawn as, what it asks for is taken, and then it is the ratio of its figure. */
    public function test_what_any_control_asks_for_is_taken(): void
    {
        $asked = 0;
        foreach (FamilyKey::cases() as $family) {
            for ($seed = 0; $seed < 12; $seed++) {
                $job = MadeUp::job($family, 400 + $seed);
                $read = $job->state->spec->aim?->point;
                $points = $read === null ? [] : $job->state->run->hand->measurable($read);
                if ($read === null || $points === []) {
                    continue;
                }
                $asked++;
                $told = self::drawn($job->state->run, $points);
                $job->entry('hand', ['wire_mm' => 20.0, 'point_mm' => array_map(
                    static fn (float $ratio): float => 20.0 * 1.5 * $ratio,
                    $told,
                )]);
                $point = $read === ReadingPoint::GripBackward ? ReadingPoint::GripFlange : $read;
                self::assertEqualsWithDelta(
                    1.5 * $told[$point->value],
                    $job->state->run->couplings->at($point)?->value,
                    1e-9,
                    "{$family->value} {$seed}",
                );
            }
        }
        self::assertGreaterThan(30, $asked);
    }

    /** The advice that leads here: what the bench suspects is settled by measuring, and it goes on. */
    public function test_a_ratio_off_by_two_is_suspected_measured_and_set(): void
    {
        $job = TestJob::throttle()->ready();
        $job->adjuster = 'grip';
        $job->read(8.0, 8.0, 8.0);
        foreach (['-1f', '+1f', '-1f'] as $turn) {
            $job->line($turn, 'in_band')->read(8.0, 8.0, 8.0);
        }
        self::assertSame(
            [PlanKind::Suspect, SettledBy::Hand],
            [$job->state->next()->kind, $job->state->next()->settledBy],
        );
        $job->entry('hand', self::GRIP)->read(8.0, 8.0, 8.0);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
    }

    /**
     * @param  list<ReadingPoint>  $points
     * @return array<string, float>
     */
    private static function drawn(Run $run, array $points): array
    {
        $told = [];
        foreach ($points as $point) {
            $told[$point->value] = $run->couplings->at($point)->value ?? 3.0;
        }

        return $told;
    }

    private static function ratio(BenchState $state): ?float
    {
        return $state->run->couplings->at(ReadingPoint::GripFlange)?->value;
    }
}
