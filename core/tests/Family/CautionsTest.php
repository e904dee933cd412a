<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Family;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Input\Node;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** Every caution that the trade asks for, and the step that shows it. Common practice, no source. */
final class CautionsTest extends TestCase
{
    private const BLADES = ['bail', 'sliding_drive'];

    private const ROTATING = [
        'engage_by_pull',
        'release_by_pull',
        'hook_control',
        'speed_selector',
        'brake_pull',
        'other_control',
    ];

    /** @return iterable<string, array{FamilyKey, JobStage, string}> */
    public static function cautions(): iterable
    {
        foreach (FamilyKey::cases() as $family) {
            yield "{$family->value}: engine off, key out or spark lead off" => [
                $family,
                JobStage::MakeSafe,
                $family === FamilyKey::PedalThrottle ? 'Key out' : 'Engine off',
            ];
            yield "{$family->value}: the manual and local law win" => [$family, JobStage::MakeSafe, 'local law win'];
            yield "{$family->value}: running tests outdoors" => [$family, JobStage::Prove, 'carbon monoxide'];
            yield "{$family->value}: a qualified technician when in doubt" => [
                $family,
                JobStage::Close,
                'qualified technician',
            ];
            yield "{$family->value}: what was moved aside is restored" => [
                $family,
                JobStage::Close,
                'moved aside is back',
            ];
        }
        foreach (self::of([...self::ROTATING, 'pedal_throttle', 'automatic_clutch', 'mode_cables']) as $family) {
            yield "{$family->value}: on rated stands, not on a jack alone" => [
                $family,
                JobStage::MakeSafe,
                'never on a jack alone',
            ];
        }
        foreach (self::of(['pedal_throttle', 'mode_cables', 'other_control']) as $family) {
            yield "{$family->value}: a raised bed is propped" => [$family, JobStage::MakeSafe, 'raised bed is propped'];
        }
        foreach (self::of([...self::ROTATING, 'sliding_drive']) as $family) {
            yield "{$family->value}: never measure what runs" => [
                $family,
                JobStage::MakeSafe,
                'Never measure a running belt',
            ];
        }
        foreach (self::of([...self::BLADES, ...self::ROTATING]) as $family) {
            yield "{$family->value}: areas clear" => [$family, JobStage::MakeSafe, 'clear'];
        }
        foreach (self::of([
            ...self::BLADES,
            'hook_control',
            'speed_selector',
            'other_control',
            'brake_pull',
        ]) as $family) {
            yield "{$family->value}: fuel off before it is laid on its side" => [
                $family,
                JobStage::MakeSafe,
                'Fuel tap shut',
            ];
        }
        foreach (self::of([
            'clutch_lever', 'sliding_drive', 'hook_control', 'speed_selector', 'other_control', 'brake_pull',
            'engage_by_pull',
        ]) as $family) {
            yield "{$family->value}: springs, eyes and fingers" => [$family, JobStage::LookOver, 'eyes and fingers'];
        }
        foreach (self::of([
            'clutch_lever',
            'automatic_clutch',
            'twist_grip',
            'trigger_throttle',
            'pedal_throttle',
        ]) as $family) {
            yield "{$family->value}: hot exhaust" => [$family, JobStage::MakeSafe, 'Hot exhaust'];
        }
        foreach (self::of([
            'clutch_lever', 'automatic_clutch', 'hydraulic_clutch', 'twist_grip', 'pedal_throttle', 'sliding_drive',
            'engage_by_pull', 'release_by_pull', 'speed_selector', 'hook_control', 'brake_pull', 'other_control',
        ]) as $family) {
            yield "{$family->value}: nobody in front" => [$family, JobStage::Prove, 'obody in front'];
        }
        foreach (self::of(['engage_by_pull', 'release_by_pull']) as $family) {
            yield "{$family->value}: start in neutral, operator in place" => [
                $family,
                JobStage::Prove,
                'Start in neutral, operator in place',
            ];
        }
        foreach (self::of(['clutch_lever', 'automatic_clutch', 'hydraulic_clutch']) as $family) {
            yield "{$family->value}: test ride by a licensed rider in gear, away from traffic" => [
                $family,
                JobStage::Prove,
                'licensed rider in gear, away from traffic',
            ];
        }
        foreach (self::of([
            'clutch_lever', 'twist_grip', 'trigger_throttle', 'engage_by_pull', 'hook_control', 'brake_pull',
            'other_control', 'pedal_throttle',
        ]) as $family) {
            yield "{$family->value}: a stiff adjuster twists the wire off" => [$family, JobStage::Set, 'old the wire'];
        }
        yield 'bail: never look under a deck' => [FamilyKey::Bail, JobStage::Prove, 'Never look under the deck'];
        yield 'pedal: governed speed is not raised past the limit' => [
            FamilyKey::PedalThrottle,
            JobStage::Set,
            'never past the maker\'s limit',
        ];
        yield 'throttle: never push the grip back past rest' => [FamilyKey::TwistGrip, JobStage::AsFound, 'past rest'];
        yield 'throttle: boots stay off until it passed' => [
            FamilyKey::TwistGrip,
            JobStage::Prove,
            'stay off until every pose has passed',
        ];
        yield 'tied-down brake: pumped and tried' => [
            FamilyKey::BrakePull,
            JobStage::Prove,
            'brake pumped before it moves',
        ];
    }

    #[DataProvider('cautions')]
    public function test_each_caution_stands_at_the_step_it_belongs_to(
        FamilyKey $key,
        JobStage $stage,
        string $words,
    ): void {
        self::assertStringContainsString($words, implode(' ', self::said(Families::of($key), $stage)));
    }

    /** @return iterable<string, array{string, FamilyKey}> */
    public static function gates(): iterable
    {
        yield 'throttle that does not snap shut' => ['does not snap shut', FamilyKey::TwistGrip];
        yield 'trigger that does not snap shut' => ['does not snap shut', FamilyKey::TriggerThrottle];
        yield 'pedal that does not snap shut' => ['does not snap shut', FamilyKey::PedalThrottle];
        yield 'wire out of its groove' => ['out of its groove', FamilyKey::TwistGrip];
        yield 'blade that does not stop' => ['too long to stop', FamilyKey::Bail];
        yield 'drive that moves with the control released' => [
            'drives with the handle released',
            FamilyKey::SlidingDrive,
        ];
        yield 'tool that turns with the control released' => [
            'turns with the control released',
            FamilyKey::HookControl,
        ];
        yield 'brake that does not hold' => ['does not hold', FamilyKey::BrakePull];
        yield 'park that does not hold' => ['Park does not hold', FamilyKey::ModeCables];
        yield 'speed above the governed limit' => ['faster than the maker', FamilyKey::PedalThrottle];
        yield 'wire damage' => ['damaged', FamilyKey::EngageByPull];
    }

    #[DataProvider('gates')]
    public function test_what_must_not_run_is_a_gate(string $words, FamilyKey $key): void
    {
        self::assertStringContainsString(
            $words,
            implode(' ', array_map(static fn (Gate $gate): string => $gate->failure, Families::of($key)->gates())),
        );
    }

    public function test_sprung_parts_say_so_where_they_are_handled(): void
    {
        foreach ([AdjusterKind::SplineArm, AdjusterKind::PushRodB] as $kind) {
            $said = implode(
                ' ',
                array_map(static fn (GuideStep $step): string => (string) $step->caution, Guide::of($kind)),
            );
            self::assertStringContainsString('mind eyes and fingers', $said);
        }
        self::assertStringContainsString(
            'an inch short has been sold as right',
            (string) Replacement::compare()->caution,
        );
    }

    /** @return list<string> everything a stage of the family says */
    private static function said(Family $family, JobStage $stage): array
    {
        $run = RunCodec::decode(Node::of(TestJob::clutchRun()));
        $spec = SpecCodec::decode(Node::of(TestJob::clutchSpec()));

        return [...$family->cautions($stage), ...match ($stage) {
            JobStage::MakeSafe => array_map(
                static fn (Step $step): string => "{$step->label} {$step->caution}",
                $family->makeSafe(),
            ),
            JobStage::LookOver => array_map(
                static fn (Inspection $one): string => "{$one->label} {$one->lookFor}",
                $family->lookOver(),
            ),
            JobStage::Prove => [
                ...array_map(static fn (Step $step): string => "{$step->label} {$step->caution}", $family->refit()),
                ...self::proofs($family, $run),
                ...array_map(
                    static fn (Measure $one): string => $one->key->howTo()." {$one->caution}",
                    $family->measures($spec),
                ),
            ],
            JobStage::Close => array_map(
                static fn (Step $step): string => "{$step->label} {$step->caution}",
                $family->closing(),
            ),
            JobStage::AsFound, JobStage::Set => [],
        }];
    }

    /** @return list<string> */
    private static function proofs(Family $family, Run $run): array
    {
        return array_map(
            static fn (Proof $proof): string => "{$proof->question} {$proof->caution}",
            $family->proofs($run),
        );
    }

    /**
     * @param  list<string>  $keys
     * @return list<FamilyKey>
     */
    private static function of(array $keys): array
    {
        return array_map(FamilyKey::from(...), $keys);
    }
}
