<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\Stands;
use VividPull\Core\Spec\TableDrawing;

/**
 * Three cables that meet at one arm of a utility vehicle: mode select, park, and the one to the differential. The book
 * sets edges on notches; the truth is what the wheels do. Any of the three can cure it: one at a time, unloaded, and
 * then the whole table again.
 */
final readonly class ModeCables extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::ModeCables;
    }

    private const BEVEL = StepUnit::Bevel->value;

    /** Four turns of six bevels: never more at once. */
    private const MOST_BEVELS = 24.0;

    /**
     * How much a cable moves a mode is learned from what the arm does: by nothing, or by up to twice as far as the
     * others.
     */
    private const UNKNOWN = 1.0;

    public function title(): string
    {
        return 'Mode and park cables';
    }

    public function consumables(): array
    {
        return [...parent::consumables(), 'push pins for the panel'];
    }

    /**
     * The table of a mode arm. Its places are counted in bevels of the adjuster from park, and each mode holds over
     * some width around its own.
     *
     * @param  non-empty-list<array{
     *     key: string, label: string, at: float, right: string, under: string, over: string,
     *     weights: array<string, float>,
     * }>  $modes
     * @param  non-empty-list<Mover>  $movers
     * @param  float|null  $halfWidth  how far the arm may stand from a mode's place and still do what it should; null
     *     where nobody knows
     * @param  float|null  $trial  how far to go where nothing bounds the other side; null for half a width
     */
    public static function table(array $modes, ?float $halfWidth, array $movers, ?float $trial = null): OutcomeTable
    {
        $settings = array_map(
            static fn (array $mode): OutcomeSetting => OutcomeSetting::of(
                $mode['key'],
                $mode['label'],
                0.0,
                'right',
                [
                    self::word('right', $mode['right'], Stands::Right, $halfWidth),
                    self::word('under', $mode['under'], Stands::Short, $halfWidth),
                    self::word('over', $mode['over'], Stands::Past, $halfWidth),
                    OutcomeWord::provingNothing('unmet', 'Cannot tell: the teeth have not met'),
                ],
                $mode['weights'],
                true,
            ),
            $modes,
        );

        return OutcomeTable::of(
            'mode arm',
            self::BEVEL,
            'towards turf',
            'towards park',
            $settings,
            $movers,
            $trial ?? $halfWidth ?? self::MOST_BEVELS,
            self::MOST_BEVELS,
        );
    }

    private static function word(string $key, string $label, Stands $stands, ?float $half): OutcomeWord
    {
        return $half === null
            ? OutcomeWord::standing($key, $label, $stands, self::BEVEL)
            : OutcomeWord::between($key, $label, ...$stands->around($half, $half));
    }

    public function symptoms(): array
    {
        return [
            Symptom::DoesNotHold, Symptom::BangsOnUnlocking, Symptom::DashDisagrees, Symptom::HardToShift,
            Symptom::Heavy, Symptom::AgainAndAgain,
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step('engine_off', 'Engine off, key out'),
            new Step(
                'stands',
                'Rear wheels up on rated stands, front wheels chocked',
                'On stands rated for it, never on a jack alone. A raised bed is propped.',
            ),
            new Step('unloaded', 'Two-wheel and park: cables unloaded before any is turned'),
            new Step(
                'manual',
                'The machine\'s own manual is at hand',
                'Manual and local law win over anything shown here.',
            ),
        ];
    }

    public function lookOver(): array
    {
        return [
            new Inspection(
                'wire',
                'The three cables at the arm',
                'Fray, rust, a boot torn, a broken clip',
                GateKey::WireSound,
            ),
            new Inspection('arm', 'Arm and its notches', 'Bent, worn, tyres and lifts moved since the book'),
            new Inspection(
                'dash',
                'Dash against wheels',
                'What the dash says is not what the wheels do until it was tried',
            ),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'park_holds',
                'In park both rear wheels are locked',
                GateKey::BrakeHolds,
                caution: 'Turn a wheel at each change, so that teeth can meet.',
            )->suspecting(Suspect::of('a bent arm or bracket', Cure::Mount), Suspect::of('worn teeth')),
            Proof::yesIsRight('dash_agrees', 'The dash shows what the wheels do in every mode')
                ->mayBeHidden()
                ->suspecting(Suspect::of('a switch at the arm, or its plug')),
            Proof::choice(
                'unlock',
                'Leaving the locked mode: how does it let go?',
                ['cleanly' => 'Cleanly', 'bang' => 'Late, with a bang'],
                ['cleanly'],
                'A late unlock bangs: the lever has left the locked mode, the teeth have not.',
            )->suspecting(
                Suspect::of('a dry arm or shaft', Cure::Oiled),
                Suspect::of('a bent arm or bracket', Cure::Mount),
            ),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::atRest(GateKey::BrakeHolds, 'Park holds', 'Park does not hold.'),
            Gate::atRest(GateKey::WireSound, 'Cables sound', 'A cable at the mode arm is damaged.'),
        ];
    }

    /** Wheels are turned by hand, on stands, with the engine off. */
    public function runsItsTable(): bool
    {
        return false;
    }

    public function tryingCaution(): string
    {
        return 'Wheels up on stands, engine off. Turn a wheel by hand at each change: unmet teeth prove nothing.';
    }

    public function refit(): array
    {
        return [];
    }

    public function drawing(): TableDrawing
    {
        return TableDrawing::Notches;
    }

    public function replacing(): array
    {
        return [
            new GuideStep(
                'opened',
                'Bed raised and propped, panel and box off',
                'A raised bed is propped before a hand goes under it.',
            ),
            Replacement::note('Photograph which cable goes where: mode lever, park lever, differential'),
            Replacement::slack(
                'Park and two-wheel, so that it is unloaded; the nut of this cable freed, its adjuster to full slack',
            ),
            new GuideStep('unhook', 'Unhook both ends', 'Still tight: give more slack, never lever it off.'),
            Replacement::compare(),
            Replacement::draw(),
            Replacement::sheaths(),
            new GuideStep('seated', 'Both ends on; beveled seats click home'),
            Replacement::routed(),
            Replacement::hook(),
        ];
    }

    public function closing(): array
    {
        return [
            new Step('guards', 'Box, panel and bed back, off its stands, wheels down'),
            new Step('restored', 'What was moved aside is back and tried, tools are out'),
        ];
    }

    public function imitators(): array
    {
        return [
            'Unmet teeth prove nothing: turn a wheel and look again.',
            'Lifts, tyres and wear move what the book\'s edges mean.',
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => [
                'Wheels up, engine off. Turn a wheel by hand at each change, so that teeth can meet.',
            ],
            JobStage::Set => ['One cable at a time, four turns at most, unloaded. Then the whole table again.'],
            JobStage::Prove => [self::CARBON_MONOXIDE.' Off its stands only when every mode was right on them.'],
            default => parent::cautions($stage),
        };
    }

    /**
     * Function, not marks: what the rear wheels do in each mode. Any of the three can cure any of them, since they meet
     * at one arm.
     */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Selector,
            'Mode lever',
            'mode arm',
            [AdjusterKind::InLine, AdjusterKind::InLine, AdjusterKind::InLine],
            null,
            [self::table(
                [
                    self::mode('park', 'Park', 'Both rear wheels locked', 'One of them turns', 'It grates'),
                    self::mode('two_wheel', 'Two-wheel', 'Both rear wheels turn together', 'Locked', 'One spins free'),
                    self::mode('turf', 'Turf', 'One rear wheel spins free', 'Both turn together', 'It grates'),
                ],
                null,
                [
                    Mover::of('mode_bevels', 1, 1, self::UNKNOWN),
                    Mover::of('park_bevels', 1, 1, self::UNKNOWN),
                    Mover::of('differential_bevels', 1, 1, self::UNKNOWN),
                ],
                self::MOST_BEVELS,
            )],
            ['mode', 'park', 'differential'],
        );
    }

    /**
     * @return array{
     *     key: string, label: string, at: float, right: string, under: string, over: string,
     *     weights: array<string, float>,
     * } any cable can cure any mode, for they meet at one arm
     */
    private static function mode(string $key, string $label, string $right, string $under, string $over): array
    {
        return [
            'key' => $key, 'label' => $label, 'at' => 0.0, 'right' => $right, 'under' => $under, 'over' => $over,
            'weights' => [],
        ];
    }
}
