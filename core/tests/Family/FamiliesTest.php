<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Family;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Input\Node;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** What every family must declare, whatever is particular to it. */
final class FamiliesTest extends TestCase
{
    /** @return iterable<string, array{Family}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [Families::of($key)];
        }
    }

    #[DataProvider('families')]
    public function test_nothing_is_called_by_the_same_name_twice(Family $family): void
    {
        $keys = [
            ...array_map(
                static fn (Step $step): string => $step->key,
                [...$family->makeSafe(), ...$family->refit(), ...$family->closing()],
            ),
            ...array_map(static fn (Inspection $inspection): string => $inspection->key, $family->lookOver()),
            ...array_map(static fn (Proof $proof): string => $proof->key, $family->proofs(self::plainRun())),
        ];
        self::assertSame($keys, array_values(array_unique($keys)));
    }

    #[DataProvider('families')]
    public function test_every_gate_has_something_that_can_fail_it(Family $family): void
    {
        foreach ($family->gates() as $gate) {
            $inspections = array_filter(
                $family->lookOver(),
                static fn (Inspection $inspection): bool => $inspection->gate === $gate->key,
            );
            $proofs = array_filter(
                $family->proofs(self::plainRun()),
                static fn (Proof $proof): bool => $proof->gate === $gate->key,
            );
            $measures = array_filter(
                $family->measures(SpecCodec::decode(Node::of(TestJob::clutchSpec()))),
                static fn (Measure $measure): bool => $measure->gate === $gate->key,
            );
            self::assertTrue(
                in_array($gate->key, [GateKey::NotTaut, GateKey::PackSound, GateKey::SpringsReached], true)
                    || $measures !== []
                    || $inspections !== []
                    || $proofs !== [],
                "{$gate->key->value} is never tried",
            );
            self::assertNotSame('', $gate->failure);
        }
    }

    #[DataProvider('families')]
    public function test_every_proof_can_be_passed_and_failed(Family $family): void
    {
        foreach ($family->proofs(self::plainRun()) as $proof) {
            $passes = array_filter(array_keys($proof->answers->words), $proof->passes(...));
            self::assertNotSame([], $passes, $proof->question);
            self::assertLessThan(count($proof->answers->words), count($passes), $proof->question);
        }
    }

    #[DataProvider('families')]
    public function test_every_stage_has_its_caution(Family $family): void
    {
        foreach (JobStage::cases() as $stage) {
            self::assertNotSame([], $family->cautions($stage), $stage->title());
        }
    }

    #[DataProvider('families')]
    public function test_every_point_has_a_ratio_to_begin_with_and_says_how_it_is_read(Family $family): void
    {
        foreach (ReadingPoint::cases() as $point) {
            self::assertGreaterThan(0.0, $family->usualRatio($point)->value);
            self::assertNotSame('', $point->howToRead());
        }
    }

    #[DataProvider('families')]
    public function test_words_are_plain_and_never_shout(Family $family): void
    {
        $words = [
            ...array_map(
                static fn (Step $step): string => "{$step->label} {$step->caution}",
                [...$family->makeSafe(), ...$family->refit(), ...$family->closing()],
            ),
            ...array_map(
                static fn (Inspection $inspection): string => "{$inspection->label} {$inspection->lookFor}",
                $family->lookOver(),
            ),
            ...array_map(
                static fn (Proof $proof): string => "{$proof->question} {$proof->caution}",
                $family->proofs(self::plainRun()),
            ),
        ];
        foreach ($words as $text) {
            self::assertDoesNotMatchRegularExpression('/!|\p{Emoji_Presentation}|\b[A-Z]{4,}\b/u', $text);
        }
    }

    private static function plainRun(): Run
    {
        return RunCodec::decode(Node::of(TestJob::clutchRun()));
    }

    public function test_a_clutch_is_proved_by_arm_wiggle_creep_and_bite(): void
    {
        self::assertSame(
            ['arm_loose', 'wiggle_still', 'no_creep', 'no_slip', 'bite'],
            array_map(
                static fn (Proof $proof): string => $proof->key,
                Families::of(FamilyKey::ClutchLever)->proofs(self::plainRun()),
            ),
        );
    }

    /** Common practice, no source: a clutch of plates that slips is not fit, whatever works it. */
    public function test_a_clutch_worked_by_fluid_is_tried_under_load_too(): void
    {
        $proofs = array_column(
            array_map(
                static fn (Proof $proof): array => [$proof->key, $proof],
                Families::of(FamilyKey::HydraulicClutch)->proofs(self::plainRun()),
            ),
            1,
            0,
        );
        self::assertSame(['lever_feel', 'no_creep', 'no_slip'], array_keys($proofs));
        self::assertSame(
            [null, Cure::EngineOil, null],
            array_map(static fn (Suspect $one): ?Cure => $one->cure, $proofs['no_slip']->suspects),
        );
    }

    /** By what no job is signed nobody runs it either: it can be told, and stops it. Common practice, no source. */
    #[DataProvider('families')]
    public function test_what_a_gate_holds_a_job_for_can_be_reported_as_a_danger(Family $family): void
    {
        $stopping = Symptom::stopping($family->symptoms(), $family->worksWhileHeld());
        foreach ($family->gates() as $gate) {
            $tells = match ($gate->key) {
                GateKey::StillAtRest => [Symptom::CreepsOut, Symptom::CreepsIn, Symptom::RunsOn],
                GateKey::Releases => [Symptom::CreepsIn],
                GateKey::SpeedGoverned => [Symptom::TooFast],
                GateKey::SnapShut => [Symptom::StaysOpen],
                GateKey::BladeStops => [Symptom::RunsOn],
                GateKey::BrakeHolds => [Symptom::DoesNotHold, Symptom::RunsOn],
                default => $stopping,
            };
            self::assertNotSame(
                [],
                array_filter($tells, static fn (Symptom $one): bool => in_array($one, $stopping, true)),
                "{$family->title()} has a gate for it, and no symptom: {$gate->key->value}",
            );
        }
    }

    public function test_a_throttle_is_proved_in_every_pose_of_the_bars(): void
    {
        $proofs = Families::of(FamilyKey::TwistGrip)->proofs(self::plainRun());
        self::assertSame('snap_shut', $proofs[0]->key);
        self::assertCount(3, $proofs[0]->poses);
        self::assertSame(GateKey::SnapShut, $proofs[0]->gate);
    }

    public function test_what_its_settings_are_drawn_as_is_the_familys_to_say(): void
    {
        $drawn = array_map(
            static fn (FamilyKey $key): string => Families::of($key)->drawing()->value,
            FamilyKey::cases(),
        );
        self::assertSame([1, 1], [array_count_values($drawn)['disc'], array_count_values($drawn)['notches']]);
        self::assertSame('disc', Families::of(FamilyKey::SpeedSelector)->drawing()->value);
        self::assertSame('notches', Families::of(FamilyKey::ModeCables)->drawing()->value);
    }
}
