<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Practice\HiddenMachine;
use VividPull\Core\Practice\Physics;
use VividPull\Core\Practice\Reader;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Practice\Trial;
use VividPull\Core\Practice\TrialRow;
use VividPull\Core\Practice\TrialStart;
use VividPull\Core\Practice\TrialTable;

final class TrialTest extends TestCase
{
    public function test_chance_is_the_same_for_the_same_seed_and_shaped_as_it_says(): void
    {
        self::assertSame((new SeededChance(5))->normal(), (new SeededChance(5))->normal());
        self::assertNotSame((new SeededChance(5))->normal(), (new SeededChance(6))->normal());
        $chance = new SeededChance(42);
        $values = array_map(static fn (): float => $chance->normal(), range(1, 20_000));
        $mean = array_sum($values) / 20_000;
        $square = array_sum(array_map(static fn (float $v): float => $v * $v, $values)) / 20_000;
        // Four standard errors: 4/√20000 of the mean, 4√(2/20000) of the variance.
        self::assertEqualsWithDelta(0.0, $mean, 0.029);
        self::assertEqualsWithDelta(1.0, $square, 0.04);
        self::assertEqualsWithDelta(
            0.95,
            count(array_filter($values, static fn (float $v): bool => abs($v) < 1.959964)) / 20_000,
            0.0062,
        );
    }

    public function test_a_hidden_machine_answers_turns_and_hides_how_taut_it_is(): void
    {
        // 1 mm a turn, 152 to 38 mm: 4 mm of play a turn.
        $machine = new HiddenMachine(10.0, 1.0, 152.0, 38.0, new Physics(new Reader(noise: 0.0)), new SeededChance(1));
        $machine->turnOut(1.5);
        self::assertEqualsWithDelta(4.0, $machine->read(), 1e-9);
        $machine->turnOut(3.0);
        self::assertSame(0.0, $machine->read());
        self::assertEqualsWithDelta(-8.0, $machine->play(), 1e-9);
    }

    public function test_hidden_machines_do_what_the_bench_does_not_assume(): void
    {
        $machine = static fn (Physics $physics): HiddenMachine => new HiddenMachine(
            20.0,
            1.0,
            152.0,
            38.0,
            $physics,
            new SeededChance(3),
        );
        $lost = $machine(new Physics(new Reader(noise: 0.0), lostFlats: 3.0));
        $lost->turnOut(2.0);
        $lost->turnOut(1.0);
        $before = $lost->play();
        $lost->turnOut(-0.5);
        self::assertEqualsWithDelta(
            $before,
            $lost->play(),
            1e-9,
            'three flats are half a turn, and all of it is lost on the way back',
        );
        $lost->turnOut(-1.0);
        self::assertEqualsWithDelta($before + 4.0, $lost->play(), 1e-9);
        $sticks = $machine(new Physics(new Reader(noise: 0.0), stiction: 0.5));
        $sticks->turnOut(1.0);
        self::assertEqualsWithDelta(16.5, $sticks->read(), 1e-9, 'come from the side that takes slack away');
        $creeps = $machine(new Physics(new Reader(noise: 0.0), creepFlats: 0.5));
        $creeps->lock();
        self::assertEqualsWithDelta(20.0 - 4.0 / 12, $creeps->play(), 1e-9);
        self::assertEqualsWithDelta(
            19.0,
            $machine(new Physics(new Reader(noise: 0.0, resolution: 1.0)))->read() - 1.0,
            1e-9,
        );
        $arc = $machine(new Physics(new Reader(noise: 0.0), arc: -0.4));
        self::assertEqualsWithDelta(20.0, $arc->play(), 1e-9, 'it starts where it was put');
        $arc->turnOut(1.0);
        self::assertEqualsWithDelta(16.0, $arc->play(), 0.35, 'and moves on an arc, nearly as along its line');
        self::assertNotEqualsWithDelta(16.0, $arc->play(), 0.01);
    }

    /** @return iterable<string, array{TrialRow, int}> */
    public static function rows(): iterable
    {
        foreach ([...TrialRow::all(), ...TrialRow::rough()] as $row) {
            yield "{$row->name}, ratio {$row->knowledge}, {$row->start->value}" => [$row, match (true) {
                $row->start === TrialStart::Taut => 4,
                // Sticks by six tenths of its band, and is read to half of it.
                str_contains($row->name, 'stiction, rule') && $row->isNarrow() => 6,
                str_contains($row->name, 'all of it'), $row->isNarrow() => 5,
                str_contains($row->name, 'lost motion of 3 flats, rule') => 4,
                $row->physics->ratioFactor >= 2.0 => 4,
                default => 3,
            }];
        }
    }

    /**
     * Judged by the machine's true play. Three hundred machines a row by hand: `bin/vivid moves`, printed in
     * docs/benchmarks.md; here a few of each, with the room that so few need.
     */
    #[DataProvider('rows')]
    public function test_doing_what_the_bench_says_brings_machines_inside_in_few_moves(TrialRow $row, int $most): void
    {
        $machines = 6;
        $table = TrialTable::of($row, $machines, 9000);
        // What sticks by more than the band leaves, or is turned by everything at once, is not always brought inside;
        // all else is.
        $hard = str_contains($row->name, 'stiction')
            || str_contains($row->name, 'all of it')
            || str_contains($row->name, 'misread');
        self::assertLessThanOrEqual($hard ? 0.7 : 1 / $machines, $table->neverInside());
        self::assertLessThanOrEqual($most, $table->movesOf(0.9));
        // Where everything is at once, past it and back may come after a turn to and fro.
        self::assertLessThanOrEqual(
            str_contains($row->name, 'all of it') ? 1 / $machines : 0.0,
            $table->swung(),
            'never turned to and fro three times',
        );
        self::assertLessThanOrEqual(
            str_contains($row->name, 'stiction') ? 0.7 : 1 / $machines,
            $table->falselyInside(),
        );
    }

    /**
     * A cable that is found taut tells nothing of by how much: what is foretold after the first reading of play leaves
     * room for that. It once held in three of four.
     */
    public function test_what_is_foretold_of_a_cable_found_taut_holds_although_it_moves_further_than_drawn(): void
    {
        $rows = array_filter(
            TrialRow::rough(),
            static fn (TrialRow $row): bool => $row->name === '10 to 20 mm at the tip: taut, ratio × 1.5',
        );
        self::assertCount(1, $rows);
        foreach ($rows as $row) {
            self::assertGreaterThan(0.9, TrialTable::of($row, 40, 1)->firstForetold());
        }
    }

    /**
     * Away and back, so as to come from the other side, brings nothing inside that stands outside: it once took the
     * place of the turn that does, and nothing was advised.
     */
    public function test_a_turn_that_does_is_not_dropped_for_away_and_back(): void
    {
        $rows = array_values(array_filter(
            TrialRow::rough(),
            static fn (TrialRow $row): bool => $row->name === '3 to 5 mm at the lever: all of it',
        ));
        foreach ([13, 27, 45] as $seed) {
            self::assertTrue(Trial::of($rows[0], new SeededChance($seed))->inside, "seed {$seed}");
        }
    }

    /** @return iterable<string, array{TrialRow}> */
    public static function plain(): iterable
    {
        foreach (array_filter(
            TrialRow::all(),
            static fn (TrialRow $row): bool => $row->start === TrialStart::Outside,
        ) as $row) {
            yield "{$row->name}, ratio {$row->knowledge}" => [$row];
        }
    }

    #[DataProvider('plain')]
    public function test_machines_as_the_bench_assumes_them_read_as_it_foretells(TrialRow $row): void
    {
        $table = TrialTable::of($row, 40, 500);
        // 5 % of 40 are 2; four standard deviations more would be 7.5.
        self::assertLessThan(7.5 / 40, $table->overshot());
        // 95 % of 40 are 38; four standard deviations fewer would be 32.5.
        self::assertGreaterThan(32.5 / 40, $table->firstForetold());
    }
}
