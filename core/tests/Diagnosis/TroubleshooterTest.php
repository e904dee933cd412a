<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Diagnosis;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Diagnosis\StepKind;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/** What is looked at next, and when a cure is tried instead. */
final class TroubleshooterTest extends TestCase
{
    /**
     * Common practice, no source: lever play, then oil, then it is opened: basket, plates, springs. The order follows
     * from minutes and grades.
     */
    public function test_a_slipping_clutch_is_looked_at_in_the_order_people_look(): void
    {
        $knowledge = Causes::of(FamilyKey::ClutchLever);
        $evidence = Evidence::none()->answered('slips', Evidence::YES)->answered('wire', Check::RIGHT);
        $asked = [];
        while (($next = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->next)->kind === StepKind::Check) {
            $asked[] = $next->key;
            $evidence = $evidence->answered($next->key, Check::RIGHT);
            $cover = $knowledge->checks[$next->key]->effort->cover;
            $evidence = $cover === null ? $evidence : $evidence->coverOff($cover);
        }
        $order = array_values(array_intersect($asked, ['play', 'oil', 'basket', 'plates', 'springs']));

        self::assertSame(['play', 'oil'], array_slice($order, 0, 2));
        self::assertEqualsCanonicalizing(['basket', 'plates', 'springs'], array_slice($order, 2));
        self::assertSame('springs', end($order), 'springs after what lies before them');
        self::assertLessThan(
            array_search('basket', $asked, true),
            array_search('oil', $asked, true),
            'nothing is opened before the can was looked at',
        );
    }

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_safety_is_looked_at_before_anything_runs_or_is_put_right(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        $safety = array_filter($knowledge->checks, static fn (Check $one): bool => $one->effort->isSafety);
        self::assertNotSame([], $safety);
        foreach ($knowledge->symptoms as $symptom) {
            $evidence = Evidence::none()->answered($symptom->value, Evidence::YES);
            for ($n = 0; $n < 30; $n++) {
                $next = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->next;
                $open = array_diff_key($safety, $evidence->seen);
                $check = $knowledge->checks[$next->key] ?? null;
                self::assertTrue(
                    $open === [] || ($next->kind === StepKind::Check && $check?->effort->runs === false),
                    "{$symptom->value}: {$next->sentence}",
                );
                if ($check === null || $open === []) {
                    break;
                }
                $evidence = $evidence->answered($check->key, Check::RIGHT);
            }
        }
    }

    #[DataProvider('families')]
    public function test_every_complaint_ends_whatever_is_answered(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        mt_srand(7);
        foreach (self::everyOther($knowledge->symptoms, 2) as $symptom) {
            $evidence = Evidence::none()->answered($symptom->value, Evidence::YES);
            for ($n = 0; $n < 80; $n++) {
                $diagnosis = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence);
                self::assertNotSame('', $diagnosis->next->sentence);
                if ($diagnosis->next->kind === StepKind::Unexplained) {
                    continue 2;
                }
                $answers = array_keys($diagnosis->next->meanings);
                $evidence = $diagnosis->next->kind === StepKind::Cure ? $evidence->curedInVain($diagnosis->next->key)
                    : (mt_rand(0, 3) === 0
                        ? $evidence->skipped($diagnosis->next->key)
                        : $evidence->answered($diagnosis->next->key, $answers[mt_rand(0, count($answers) - 1)]));
            }
            self::fail("{$symptom->value} goes on for ever");
        }
    }

    public function test_where_everything_listed_is_refuted_that_is_said_and_the_last_is_not_accused(): void
    {
        $knowledge = Causes::of(FamilyKey::ClutchLever);
        $evidence = Evidence::none()->answered('soft', Evidence::YES);
        foreach ($knowledge->checks as $check) {
            $evidence = $evidence->answered($check->key, Check::RIGHT);
        }
        $diagnosis = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence);

        self::assertSame(
            [StepKind::Unexplained, Cause::OTHER],
            [$diagnosis->next->kind, $diagnosis->causes[0]->cause->key],
        );
        self::assertStringStartsWith('None of what is listed', $diagnosis->next->why);
        $spline = array_values(array_filter(
            $diagnosis->causes,
            static fn ($one): bool => $one->cause->key === 'wrong_spline',
        ))[0];
        self::assertTrue($spline->isRuledOut);
        self::assertSame(
            [
                'Lever drawn slowly: the clutch springs are felt, where the clutch springs are never reached.',
                'Mark on the release arm: at the case mark, or the tooth just before, where its mark stands off.',
            ],
            $spline->against,
        );
    }

    public function test_what_lies_under_a_cover_that_is_off_comes_next(): void
    {
        $two = static fn (string $key): Check => Check::of(
            $key,
            $key,
            'Look.',
            'Good',
            ['bad' => 'Bad'],
            1.0,
        )->under('lid', 30.0);
        $cause = static fn (string $key): Cause => Cause::of($key, $key, Commonness::Common, 'Mend it.', 60)
            ->shows("look_{$key}:bad", Grade::Always, 'it is seen')
            ->brings(Symptom::Slips, Grade::Usually, 'it slips');
        $outside = Check::of('look_outside', 'outside', 'Look.', 'Good', ['bad' => 'Bad'], 12.0);
        $knowledge = Knowledge::of(
            [Symptom::Slips],
            [$two('look_one'), $two('look_other'), $outside],
            [$cause('one'), $cause('other'), $cause('outside')],
        );
        $evidence = Evidence::none()->answered('slips', Evidence::YES);

        self::assertSame(
            'look_outside',
            Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->next->key,
            'the lid costs more',
        );
        self::assertContains(
            Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence->coverOff('lid'))->next->key,
            ['look_one', 'look_other'],
        );
    }

    /** Common practice, no source: covers, guards, springs and belt are on before anything runs. */
    #[DataProvider('families')]
    public function test_nothing_runs_and_nothing_is_tried_with_a_cover_off(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        $running = array_filter($knowledge->checks, static fn (Check $one): bool => $one->effort->runs);
        $cover = array_values(array_filter(
            array_map(static fn (Check $one): ?string => $one->effort->cover, $knowledge->checks),
            is_string(...),
        ))[0]
            ?? 'side cover';
        foreach ($knowledge->symptoms as $symptom) {
            $safe = array_reduce(
                $knowledge->checks,
                static fn (Evidence $all, Check $one): Evidence => $one->effort->isSafety
                    ? $all->answered($one->key, Check::RIGHT)
                    : $all,
                Evidence::none(),
            );
            $evidence = $safe->answered($symptom->value, Evidence::YES)->coverOff($cover);
            for ($n = 0; $n < 25; $n++) {
                $next = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->next;
                $mustBeOn = $next->kind === StepKind::Cure || isset($running[$next->key]);
                self::assertSame($mustBeOn, $next->before !== null, "{$symptom->value}: {$next->sentence}");
                if ($next->kind !== StepKind::Check) {
                    break;
                }
                $evidence = $evidence->answered($next->key, Check::RIGHT);
            }
        }
        self::assertStringContainsString(
            "the {$cover}",
            Diagnosis::of(
                $knowledge,
                Weights::ofTheTrade(),
                array_reduce(
                    $knowledge->checks,
                    static fn (Evidence $all, Check $one): Evidence => $all->skipped($one->key),
                    Evidence::none()->answered($knowledge->symptoms[0]->value, Evidence::YES)->coverOff($cover),
                ),
            )->next->before
                ?? '',
        );
    }

    #[DataProvider('families')]
    public function test_what_is_not_known_to_be_safe_does_not_run(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        foreach ([true, false] as $isSkipped) {
            $evidence = array_reduce(
                $knowledge->checks,
                static fn (Evidence $all, Check $one): Evidence => ! $one->effort->isSafety
                    ? $all
                    : ($isSkipped
                        ? $all->skipped($one->key)
                        : $all->answered($one->key, (string) array_key_first($one->finds))),
                Evidence::none()->answered($knowledge->symptoms[0]->value, Evidence::YES),
            );
            for ($n = 0; $n < 30; $n++) {
                $next = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->next;
                self::assertNotTrue(
                    ($knowledge->checks[$next->key] ?? null)?->effort->runs,
                    "{$next->key} is passed over or wrong, and yet it runs",
                );
                if ($next->kind !== StepKind::Check) {
                    self::assertTrue(
                        $next->kind === StepKind::Unexplained
                            || str_contains($next->before ?? '', 'Looked at and right before it runs:'),
                        $next->sentence,
                    );
                    break;
                }
                $evidence = $evidence->answered($next->key, Check::RIGHT);
            }
        }
    }

    #[DataProvider('families')]
    public function test_while_the_rest_of_the_machine_stands_against_it_nothing_runs(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        $safe = array_reduce(
            $knowledge->checks,
            static fn (Evidence $all, Check $one): Evidence => $one->effort->isSafety
                ? $all->answered($one->key, Check::RIGHT)
                : $all,
            Evidence::none(),
        );
        // Nothing is left to look at but what runs.
        $running = array_filter($knowledge->checks, static fn (Check $one): bool => $one->effort->runs);
        $safe = array_reduce(
            $knowledge->checks,
            static fn (Evidence $all, Check $one): Evidence => isset($running[$one->key]) || $one->effort->isSafety
                ? $all
                : $all->skipped($one->key),
            $safe,
        );
        $proposed = [];
        foreach ($knowledge->symptoms as $symptom) {
            $felt = $safe->answered($symptom->value, Evidence::YES);
            $proposed[] = Diagnosis::of($knowledge, Weights::ofTheTrade(), $felt)->next->key;
            $next = Diagnosis::of(
                $knowledge,
                Weights::ofTheTrade(),
                $felt->notToBeRun('A tag hangs on its front brake: “lever snapped”.')->coverOff('lid')->coversBack(),
            )->next;
            self::assertArrayNotHasKey($next->key, $running, "{$symptom->value}: it runs");
            self::assertSame(
                $next->kind === StepKind::Cure,
                str_ends_with(
                    (string) $next->before,
                    'Put right before it runs: A tag hangs on its front brake: “lever snapped”.',
                ),
                "{$symptom->value}: {$next->sentence}",
            );
        }
        // An engine that runs by itself is never a pedal's next look while only that is left.
        self::assertSame(
            $running !== [] && $family !== FamilyKey::PedalThrottle,
            array_intersect($proposed, array_keys($running)) !== [],
            'otherwise one that runs is proposed',
        );
    }

    public function test_a_cheap_cure_is_tried_before_a_dear_look(): void
    {
        $knowledge = Knowledge::of(
            [Symptom::Slips],
            [Check::of('look_inside', 'Inside', 'Open it.', 'Good', ['bad' => 'Bad'], 120.0)],
            [
                Cause::of(
                    'setting',
                    'A setting',
                    Commonness::Common,
                    'Half a turn, and try.',
                    3,
                )->brings(Symptom::Slips, Grade::Usually, 'it holds it open'),
                Cause::of('inside', 'Something inside', Commonness::Occasional, 'Replace it.', 200)
                    ->brings(Symptom::Slips, Grade::Usually, 'it is worn')
                    ->shows('look_inside:bad', Grade::Always, 'it is seen'),
            ],
        );
        $next = Diagnosis::of(
            $knowledge,
            Weights::ofTheTrade(),
            Evidence::none()->answered('slips', Evidence::YES),
        )->next;

        self::assertSame(
            [StepKind::Cure, 'setting', 'Half a turn, and try.'],
            [$next->kind, $next->key, $next->sentence],
        );
    }

    public function test_at_the_other_end_of_a_line_nothing_needs_a_tool_a_cover_or_a_running_machine(): void
    {
        foreach (FamilyKey::cases() as $family) {
            $knowledge = Causes::of($family);
            foreach (self::everyOther($knowledge->symptoms, 3) as $symptom) {
                $evidence = Evidence::none()->answered($symptom->value, Evidence::YES);
                for ($n = 0; $n < 30; $n++) {
                    $next = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence, true)->next;
                    if ($next->kind === StepKind::BringIn) {
                        self::assertStringStartsWith('Bring it in. ', $next->sentence);

                        continue 2;
                    }
                    self::assertContains(
                        $next->kind,
                        [StepKind::Ask, StepKind::Check],
                        'nothing is put right from afar',
                    );
                    self::assertTrue(
                        $next->kind === StepKind::Ask || $knowledge->checks[$next->key]->isForThePhone(),
                        "{$next->key} by telephone",
                    );
                    $evidence = $evidence->answered(
                        $next->key,
                        $next->kind === StepKind::Ask ? Evidence::NO : Check::RIGHT,
                    );
                }
                self::fail("{$symptom->value}: it never comes in");
            }
        }
    }

    /**
     * One of so many, the first among them.
     *
     * @param  list<Symptom>  $symptoms
     * @return array<int, Symptom>
     */
    private static function everyOther(array $symptoms, int $of): array
    {
        return array_filter($symptoms, static fn (int $place): bool => $place % $of === 0, ARRAY_FILTER_USE_KEY);
    }

    public function test_what_a_workshop_counted_moves_what_it_suspects_first(): void
    {
        $knowledge = Causes::of(FamilyKey::ClutchLever);
        $evidence = Evidence::none()->answered('slips', Evidence::YES)->answered('play', Check::RIGHT);
        $first = static fn (Weights $weights): string => Diagnosis::of(
            $knowledge,
            $weights,
            $evidence,
        )->causes[0]->cause->key;

        self::assertSame('wrong_oil', $first(Weights::ofTheTrade()));
        self::assertSame('tired_springs', $first(Weights::counted(['tired_springs' => 12, 'too_tight' => 3])));
        self::assertLessThan(
            1.0,
            Weights::counted(['tired_springs' => 10_000])->chance($knowledge->causes['tired_springs']),
        );
    }

    public function test_what_stops_the_machine_is_told(): void
    {
        $by = static fn (string $symptom, string $answer): array => Diagnosis::of(
            Causes::of(FamilyKey::TwistGrip),
            Weights::ofTheTrade(),
            Evidence::none()->answered($symptom, $answer),
        )->stoppedBy;

        self::assertSame(['Does not snap shut, or shuts slowly'], $by('stays_open', Evidence::YES));
        self::assertSame([], $by('stays_open', Evidence::NO));
        self::assertSame([], $by('heavy', Evidence::YES));
        self::assertSame(['Inner wire: frayed, rusty or kinked'], $by('wire', 'frayed'), 'seen, and not felt');
        self::assertSame([], $by('wire', Check::RIGHT));
        self::assertSame(['Throttle by hand: sticks'], $by('throttle_pivot', 'sticks'));
        self::assertSame([], $by('play', 'tight'), 'a setting is set');
    }

    public function test_nothing_is_run_with_what_was_seen_to_be_dangerous_at_rest(): void
    {
        $run = static function (FamilyKey $family, string $check, string $answer): array {
            $knowledge = Causes::of($family);
            // All that comes before anything runs is right, so that looks that run are open.
            $evidence = Evidence::none()->answered($knowledge->symptoms[0]->value, Evidence::YES);
            foreach ($knowledge->checks as $one) {
                $evidence = $one->effort->runs || $one->key === $check
                    ? $evidence
                    : $evidence->answered($one->key, Check::RIGHT);
            }

            return [
                $knowledge->checks[Diagnosis::of(
                    $knowledge,
                    Weights::ofTheTrade(),
                    $evidence->answered($check, Check::RIGHT),
                )->next->key]->effort->runs ?? false,
                $knowledge->checks[Diagnosis::of(
                    $knowledge,
                    Weights::ofTheTrade(),
                    $evidence->answered($check, $answer),
                )->next->key]->effort->runs ?? false,
            ];
        };

        self::assertSame([true, false], $run(FamilyKey::HookControl, 'rest', 'tight'), 'the belt is tight at rest');
        self::assertSame([true, false], $run(FamilyKey::SpeedSelector, 'zbend', 'worn'), 'its wire may part');
    }

    public function test_the_same_question_always_has_the_same_answer(): void
    {
        $evidence = Evidence::none()->answered('weak', Evidence::YES);
        $knowledge = Causes::of(FamilyKey::HookControl);

        self::assertEquals(
            Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence),
            Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence),
        );
    }
}
