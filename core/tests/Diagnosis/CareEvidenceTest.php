<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\CareEvidence;
use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Diagnosis;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Spec\FamilyKey;

/** How old a cable is and when it was oiled speak for causes by themselves, a little, and nobody is asked for it. */
final class CareEvidenceTest extends TestCase
{
    private const YEAR = 365;

    /**
     * @return iterable<string, array{int|null, int|null, string|null, string|null}> days since fitted and oiled; what
     *     is said of each
     */
    public static function cables(): iterable
    {
        yield 'nothing on file' => [null, null, null, null];
        yield 'fitted last week' => [7, null, 'new', Check::RIGHT];
        yield 'fitted last year' => [self::YEAR, null, Check::RIGHT, null];
        yield 'fitted three years ago, never oiled' => [3 * self::YEAR, null, Check::RIGHT, 'long_ago'];
        yield 'fitted six years ago, oiled last month' => [6 * self::YEAR, 30, 'old', Check::RIGHT];
        yield 'oiled three years ago, and nobody knows since when it is on' => [null, 3 * self::YEAR, null, 'long_ago'];
        yield 'oiled before it was exchanged' => [20, 900, 'new', Check::RIGHT];
    }

    #[DataProvider('cables')]
    public function test_it_says_what_is_on_file(?int $fitted, ?int $oiled, ?string $age, ?string $oil): void
    {
        $evidence = CareEvidence::into(Evidence::none(), Causes::of(FamilyKey::TwistGrip), $fitted, $oiled);
        self::assertSame([$age, $oil], [$evidence->answer(Check::CABLE_AGE), $evidence->answer(Check::OILED)]);
    }

    public function test_a_control_without_a_cable_says_nothing_of_one(): void
    {
        self::assertSame([], CareEvidence::into(Evidence::none(), Causes::of(FamilyKey::HydraulicClutch), 7, 7)->seen);
    }

    /** @return iterable<string, array{int|null, string|null}> days since the engine oil was changed; what is said */
    public static function oils(): iterable
    {
        yield 'nothing on file' => [null, null];
        yield 'today' => [0, Check::RIGHT];
        yield 'a year ago' => [self::YEAR, Check::RIGHT];
        yield 'a year and a half ago' => [548, null];
        yield 'two years ago' => [2 * self::YEAR, 'old'];
    }

    #[DataProvider('oils')]
    public function test_the_age_of_engine_oil_speaks_a_little_where_a_clutch_runs_in_it(?int $days, ?string $says): void
    {
        $said = Evidence::none()->answered('slips', Evidence::YES);
        foreach ([FamilyKey::ClutchLever, FamilyKey::HydraulicClutch, FamilyKey::AutomaticClutch] as $family) {
            $knowledge = Causes::of($family);
            $aged = CareEvidence::into($said, $knowledge, null, null, $days);
            self::assertSame($says, $aged->answer(Check::OIL_AGE));
            $of = static fn (Evidence $evidence): float => array_column(
                array_map(
                    static fn ($one): array => [$one->cause->key, $one->chance],
                    Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->causes,
                ),
                1,
                0,
            )[Cause::WRONG_OIL];
            match ($says) {
                null => self::assertSame($of($said), $of($aged)),
                'old' => self::assertGreaterThan(1.05 * $of($said), $of($aged), $family->value),
                default => self::assertLessThan($of($said), $of($aged), $family->value),
            };
            self::assertLessThan(2.0 * $of($said), $of($aged), 'the wrong kind is as bad when it is new');
            self::assertGreaterThan(0.5 * $of($said), $of($aged), 'the wrong kind is as bad when it is new');
            self::assertNotSame(Check::OIL_AGE, Diagnosis::of($knowledge, Weights::ofTheTrade(), $aged)->next->key);
        }
        self::assertSame(
            $said->seen,
            CareEvidence::into($said, Causes::of(FamilyKey::TwistGrip), null, null, $days)->seen,
            'a throttle runs in none',
        );
    }

    /**
     * @return iterable<string, array{string, int|null, int|null, list<string>, list<string>}> symptom; causes that get
     *     likelier, and those that get less likely
     */
    public static function meanings(): iterable
    {
        yield 'a stiff grip that was not oiled for years' => [
            'heavy',
            null,
            3 * self::YEAR,
            ['dry_cable'],
            ['bad_route'],
        ];
        yield 'a stiff grip with a cable of last week' => [
            'heavy',
            7,
            null,
            ['bad_route'],
            ['dry_cable', 'frayed_wire'],
        ];
        yield 'a stiff grip with a cable of six years' => ['heavy', 6 * self::YEAR, 30, ['frayed_wire'], ['dry_cable']];
        yield 'play that changes since last week' => ['play_changes', 7, null, ['unseated_ferrule'], []];
    }

    /**
     * @param  list<string>  $more
     * @param  list<string>  $less
     */
    #[DataProvider('meanings')]
    public function test_it_speaks_for_and_against(
        string $symptom,
        ?int $fitted,
        ?int $oiled,
        array $more,
        array $less,
    ): void {
        $knowledge = Causes::of(FamilyKey::TwistGrip);
        $said = Evidence::none()->answered($symptom, Evidence::YES);
        $chances = static function (Evidence $evidence) use ($knowledge): array {
            $causes = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->causes;

            return array_combine(
                array_map(static fn ($one): string => $one->cause->key, $causes),
                array_map(static fn ($one): float => $one->chance, $causes),
            );
        };
        [$before, $after] = [$chances($said), $chances(CareEvidence::into($said, $knowledge, $fitted, $oiled))];
        foreach ($more as $cause) {
            self::assertGreaterThan(1.1 * $before[$cause], $after[$cause], $cause);
            self::assertLessThan(4.0 * $before[$cause], $after[$cause], "{$cause}: age alone settles nothing");
        }
        foreach ($less as $cause) {
            self::assertLessThan($before[$cause], $after[$cause], $cause);
        }
    }

    public function test_nobody_is_asked_for_it_and_the_reason_is_said(): void
    {
        $knowledge = Causes::of(FamilyKey::TwistGrip);
        $evidence = CareEvidence::into(
            Evidence::none()->answered('heavy', Evidence::YES),
            $knowledge,
            null,
            3 * self::YEAR,
        );
        $diagnosis = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence);
        self::assertNotContains($diagnosis->next->key, [Check::CABLE_AGE, Check::OILED]);
        $dry = array_values(array_filter(
            $diagnosis->causes,
            static fn ($one): bool => $one->cause->key === 'dry_cable',
        ))[0];
        self::assertContains('Oiled: not for years: oil is gone after years.', $dry->for);
    }
}
