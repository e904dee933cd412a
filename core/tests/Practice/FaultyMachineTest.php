<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Practice\ComplaintTable;
use VividPull\Core\Practice\Faulty\FaultyFamilies;
use VividPull\Core\Practice\Faulty\FaultyMachine;
use VividPull\Core\Practice\Faulty\WornControl;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Practice\WayOfWorking;
use VividPull\Core\Spec\FamilyKey;

/** Machines with faults, which answer by their mechanics: the search is tried on what it was not made from. */
final class FaultyMachineTest extends TestCase
{
    private const FEWEST_KINDS = 60;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $family) {
            yield $family->value => [$family];
        }
    }

    public function test_there_are_enough_kinds_of_faults(): void
    {
        $kinds = array_sum(array_map(
            static fn (FamilyKey $family): int => count(FaultyFamilies::of($family)->faults()),
            FamilyKey::cases(),
        ));

        self::assertGreaterThanOrEqual(self::FEWEST_KINDS, $kinds);
    }

    /** Every cause that is known has mechanics of its own, and every fault is one that is known. */
    #[DataProvider('families')]
    public function test_each_cause_is_a_fault_and_each_fault_brings_something_about_and_is_gone_once_put_right(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        $faults = array_keys(FaultyFamilies::of($family)->faults());
        self::assertEqualsCanonicalizing(array_diff(array_keys($knowledge->causes), ['other']), $faults);
        foreach ($faults as $fault) {
            $machine = FaultyMachine::of($family, $knowledge, 11, $fault);
            self::assertSame([$fault], $machine->causes());
            self::assertFalse($machine->isGone([]), "{$fault} brings nothing about");
            self::assertTrue($machine->isGone([$fault]), "{$fault} is put right, and nothing is better");
            foreach ($knowledge->checks as $check) {
                self::assertArrayHasKey(
                    $machine->shows($check->key),
                    $check->answers(),
                    "{$check->key} is answered with what nobody can say",
                );
            }
        }
    }

    #[DataProvider('families')]
    public function test_a_sound_control_has_nothing_to_complain_of(FamilyKey $family): void
    {
        for ($seed = 1; $seed <= 50; $seed++) {
            $sound = new WornControl(new SeededChance($seed));
            $known = array_map(static fn ($symptom): string => $symptom->value, Causes::of($family)->symptoms);
            self::assertSame(
                [],
                array_values(array_intersect(
                    array_keys(array_filter(FaultyFamilies::of($family)->notices($sound) + $sound->noticed())),
                    $known,
                )),
                "seed {$seed}",
            );
        }
    }

    /** Euler and Eytelwein: what a wire is pulled with grows with e to the friction times the angle. */
    public function test_a_dry_wire_and_a_tight_bend_drag_as_a_rope_on_a_post(): void
    {
        $worn = new WornControl(new SeededChance(1));
        self::assertEqualsWithDelta(1.0, $worn->drag(), 1e-12);
        $worn->put('friction', 0.12);
        self::assertEqualsWithDelta(exp(0.12 * 2.0), $worn->drag(), 1e-12);
        $worn->put('bends', 3.0);
        self::assertEqualsWithDelta(exp(0.20 * 5.0 - 0.08 * 2.0), $worn->drag(), 1e-12);
    }

    public function test_the_same_seed_is_the_same_machine(): void
    {
        $knowledge = Causes::of(FamilyKey::ClutchLever);
        [$one, $again] = [
            FaultyMachine::of(FamilyKey::ClutchLever, $knowledge, 5),
            FaultyMachine::of(FamilyKey::ClutchLever, $knowledge, 5),
        ];

        self::assertSame($one->causes(), $again->causes());
        foreach ($knowledge->checks as $check) {
            self::assertSame($one->shows($check->key), $again->shows($check->key));
        }
    }

    public function test_the_search_finds_what_mechanics_hide(): void
    {
        $table = array_reduce(
            FamilyKey::cases(),
            static fn (ComplaintTable $all, FamilyKey $family): ComplaintTable => $all->and(
                ComplaintTable::ofMachines($family, 12),
            ),
            ComplaintTable::none(),
        );

        self::assertGreaterThan(0.8, $table->named(), 'a cause it has stands first after two looks');
        self::assertSame(1.0, $table->gone());
        self::assertLessThan(
            0.8,
            $table->searching(WayOfWorking::Ours) / $table->searching(WayOfWorking::CheapestFirst),
            'minutes beyond what nobody is spared',
        );
        self::assertLessThan(
            0.95,
            $table->minutes(WayOfWorking::Ours) / $table->minutes(WayOfWorking::LikeliestFirst),
            'all minutes',
        );
        self::assertLessThan(
            0.95,
            $table->minutes(WayOfWorking::Ours) / $table->minutes(WayOfWorking::CheapestFirst),
            'all minutes',
        );
    }

    /** Every grade drawn anew by up to two either way: of thirty machines a family it names 77 %, of these few 69 %. */
    public function test_a_search_that_was_taught_wrongly_still_finds_it(): void
    {
        $table = array_reduce(
            FamilyKey::cases(),
            static fn (ComplaintTable $all, FamilyKey $family): ComplaintTable => $all->and(
                ComplaintTable::ofMachines($family, 6, 2),
            ),
            ComplaintTable::none(),
        );

        self::assertGreaterThan(0.65, $table->named());
        self::assertSame(1.0, $table->gone());
    }

    /** What is tried on must not be made from what is tried. */
    public function test_the_mechanics_know_nothing_of_grades(): void
    {
        $files = (array) glob(__DIR__.'/../../src/Practice/Faulty/*.php');
        self::assertGreaterThan(count(FamilyKey::cases()), count($files));
        foreach ($files as $file) {
            self::assertDoesNotMatchRegularExpression(
                '/\b(Grade|Link|Weights|Model|Belief|links)\b/',
                (string) file_get_contents((string) $file),
                (string) $file,
            );
        }
    }
}
