<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wear;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\Families;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\MeterUnit;
use VividPull\Core\Wear\AgainAndAgain;
use VividPull\Core\Wear\CheckReason;
use VividPull\Core\Wear\FoundSide;
use VividPull\Core\Wear\JobRecord;
use VividPull\Core\Wear\NextCheck;
use VividPull\Core\Wear\Taken;

/** The memory of a control that has no figure. */
final class AgainAndAgainTest extends TestCase
{
    public function test_the_fifth_rung_in_a_year_sends_a_person_to_the_belt(): void
    {
        $drive = Families::of(FamilyKey::SlidingDrive);
        $taken = array_map(static fn (int $month): Taken => self::rung("2026-0{$month}-10", 1.0), [2, 3, 4, 5]);
        self::assertSame([], AgainAndAgain::of($taken)->said('2026-06-01', $drive));
        $taken[] = self::rung('2026-06-10', 1.0);
        self::assertSame(
            ['Rung clamp: 5 rungs taken up in a year. Look at the belt: a stretched one asks for it again and again.'],
            AgainAndAgain::of($taken)->said('2026-06-20', $drive),
        );
        self::assertSame(
            [],
            AgainAndAgain::of($taken)->said('2027-02-11', $drive),
            'the first of them is more than a year ago',
        );
    }

    public function test_a_rung_given_back_is_not_counted_as_taken_up(): void
    {
        $taken = [
            ...array_map(static fn (int $n): Taken => self::rung("2026-05-0{$n}", 1.0), [1, 2, 3, 4, 5]),
            self::rung('2026-05-09', -1.0),
        ];
        self::assertSame([], AgainAndAgain::of($taken)->said('2026-06-01', Families::of(FamilyKey::SlidingDrive)));
    }

    public function test_what_cured_it_last_time_is_what_was_moved_last_in_a_job_that_ended_fit(): void
    {
        $one = static fn (string $adjuster, float $slack, bool $fit): Taken => new Taken(
            '2026-05-01',
            $adjuster,
            $adjuster,
            StepUnit::Bevel,
            $slack,
            $fit,
        );
        self::assertSame(
            'park',
            AgainAndAgain::of([
                $one('mode', 2.0, true),
                $one('park', -3.0, true),
                $one('mode', 0.0, true),
                $one('mode', 4.0, false),
            ])->curedLast(),
        );
        self::assertNull(AgainAndAgain::of([$one('mode', 0.0, true)])->curedLast());
    }

    public function test_a_new_mower_is_due_again_after_five_uses(): void
    {
        $first = new JobRecord(
            2.0,
            '2026-05-01',
            ReadingPoint::HandleTravel,
            null,
            null,
            null,
            0.0,
            [],
            FoundSide::Inside,
        );
        $next = NextCheck::after($first, MeterUnit::Uses, null, null, null, null, true);
        self::assertSame(
            [CheckReason::NewMachine, 7.0, '2026-06-01'],
            [$next->decides->why, $next->decides->usage, $next->decides->day],
        );
        self::assertTrue(MeterUnit::Hours->isNewAt(10.0));
        self::assertFalse(MeterUnit::Hours->isNewAt(10.1));
        self::assertFalse(MeterUnit::Kilometres->isNewAt(0.0), 'no kilometre is a use');
        self::assertSame(
            CheckReason::Practice,
            NextCheck::after($first, MeterUnit::Uses, null, null, null)->decides->why,
        );
    }

    private static function rung(string $day, float $slack): Taken
    {
        return new Taken($day, 'rung_clamp', 'rung clamp', StepUnit::Rung, $slack, true);
    }
}
