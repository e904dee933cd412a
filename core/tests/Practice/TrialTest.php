<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Practice\HiddenMachine;
use VividPull\Core\Practice\SeededChance;
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
        self::assertEqualsWithDelta(0.95, count(array_filter($values, static fn (float $v): bool => abs($v) < 1.959964)) / 20_000, 0.0062);
    }

    public function test_a_hidden_machine_answers_turns_and_hides_how_taut_it_is(): void
    {
        $machine = new HiddenMachine(10.0, 4.0, 0.0, 0.05, new SeededChance(1));
        $machine->turnOut(1.5);
        self::assertEqualsWithDelta(4.0, $machine->read(), 1e-9);
        $machine->turnOut(3.0);
        self::assertSame([0.0, -8.0], [$machine->read(), $machine->play()]);
    }

    /** @return iterable<string, array{TrialRow, int}> */
    public static function rows(): iterable
    {
        foreach (TrialRow::all() as $row) {
            yield "{$row->name}, ratio {$row->knowledge}, {$row->start->value}" => [$row, match ($row->start) {
                TrialStart::Outside => $row->knowledge === 'default' ? 3 : 2,
                TrialStart::MisDrawn => 3,
                TrialStart::Taut => 5,
            }];
        }
    }

    #[DataProvider('rows')]
    public function test_doing_what_the_bench_says_brings_machines_inside_in_few_moves(TrialRow $row, int $most): void
    {
        $table = TrialTable::of($row, 40, 9000, 0.3);
        self::assertLessThanOrEqual(1 - $table->knowingInOne() + 1 / 40, $table->neverInside());
        self::assertLessThanOrEqual($row->start === TrialStart::Taut ? 3 : 2, $table->movesOf(0.5));
        self::assertLessThanOrEqual($most, $table->movesOf(0.95));
        if ($row->start === TrialStart::Taut) {
            // Nine in ten of those who move again (decision 10); three in four would be far off.
            self::assertGreaterThan(0.75, $table->firstForetold());

            return;
        }
        if ($row->start === TrialStart::MisDrawn) {
            self::assertSame(0.0, $table->overshot(), 'two fifths off, and none past the far edge');
            self::assertLessThanOrEqual(3, $table->movesOf(1.0));
        }
        // 5 % of 40 are 2; four standard deviations more would be 7.5.
        self::assertLessThan(7.5 / 40, $table->overshot());
        // 95 % of 40 are 38; four standard deviations fewer would be 32.5.
        self::assertGreaterThan(32.5 / 40, $table->firstForetold());
    }
}
