<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Practice\ComplaintTable;
use VividPull\Core\Practice\WayOfWorking;
use VividPull\Core\Spec\FamilyKey;

/**
 * Hidden complaints, drawn from the grades and from grades that are off: the cause is thought of early, everything
 * ends, chances mean what they say.
 */
final class ComplaintTableTest extends TestCase
{
    private const FAMILIES = [
        FamilyKey::SlidingDrive,
        FamilyKey::HydraulicClutch,
        FamilyKey::OtherControl,
        FamilyKey::SpeedSelector,
        FamilyKey::Bail,
    ];

    public function test_a_cause_is_named_within_two_looks_and_everything_is_put_right(): void
    {
        $table = self::table(0);

        self::assertGreaterThan(0.8, $table->named());
        self::assertSame(1.0, $table->gone());
        self::assertLessThan(
            0.95,
            $table->searching(WayOfWorking::Ours) / $table->searching(WayOfWorking::CheapestFirst),
            'minutes beyond what nobody is spared',
        );
        self::assertLessThan(
            1.05,
            $table->searching(WayOfWorking::Ours) / $table->searching(WayOfWorking::LikeliestFirst),
        );
    }

    public function test_grades_that_are_off_by_up_to_two_still_lead_there(): void
    {
        $table = self::table(2);

        self::assertGreaterThan(0.7, $table->named());
        self::assertSame(1.0, $table->gone());
    }

    public function test_chances_are_as_often_so_as_they_say(): void
    {
        foreach (self::table(0)->calibration() as [$said, $was, $of]) {
            // Within five points, and two standard deviations of so many draws.
            self::assertEqualsWithDelta($said, $was, 0.05 + 2 * sqrt($said * (1 - $said) / $of));
        }
    }

    private static function table(int $off): ComplaintTable
    {
        return array_reduce(
            self::FAMILIES,
            static fn (
                ComplaintTable $all,
                FamilyKey $family,
            ): ComplaintTable => $all->and(ComplaintTable::of($family, 20, $off)),
            ComplaintTable::none(),
        );
    }
}
