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
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\TableDrawing;

/**
 * The speed selector of a friction-disc drive: a wheel moved across a disc, reverse on one side of its centre and
 * forward on the other, faster further out. A little off, and R1 still drives forward or F1 backward.
 */
final readonly class SpeedSelector extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::SpeedSelector;
    }

    private const DRIVING = 'Outdoors: carbon monoxide kills. Operator in place, nobody in front.';

    public function title(): string
    {
        return 'Speed selector';
    }

    public function symptoms(): array
    {
        return [
            Symptom::WrongDirection, Symptom::Weak, Symptom::CreepsOut, Symptom::HardToShift, Symptom::Heavy,
            Symptom::AgainAndAgain,
        ];
    }

    public function consumables(): array
    {
        return [...parent::consumables(), 'paint pen for the bracket\'s mark'];
    }

    public function moved(): string
    {
        return 'lever';
    }

    /**
     * The table of a selector: which way the wheels must go at each detent.
     *
     * @param  non-empty-array<string, int>  $detents  the detents by name, counted from neutral: R1 is −1, F1 is +1
     * @param  float|null  $spacingMm  between two detents, at the arm; null where nobody measured it
     * @param  float  $deadBand  half of the width about the centre in which nothing drives, in mm or detents
     * @param  non-empty-list<Mover>  $movers
     */
    public static function table(array $detents, ?float $spacingMm, float $deadBand, array $movers): OutcomeTable
    {
        $spacing = $spacingMm ?? 1.0;
        $sees = [
            OutcomeWord::between('reverse', 'Reverse', null, -$deadBand),
            OutcomeWord::between('forward', 'Forward', $deadBand, null),
        ];
        $sees = $deadBand > 0.0
            ? [$sees[0], OutcomeWord::between('nothing', 'Nothing', -$deadBand, $deadBand), $sees[1]]
            : $sees;
        $settings = [];
        foreach ($detents as $name => $place) {
            $wants = $place < 0 ? 'reverse' : ($place > 0 ? 'forward' : 'nothing');
            $settings[] = OutcomeSetting::of(
                strtolower($name),
                $name,
                $place * $spacing,
                $wants,
                $sees,
                [],
                abs($place) === 1,
            );
        }

        return OutcomeTable::of(
            'friction-wheel arm',
            $spacingMm === null ? 'detent' : 'mm',
            'towards forward',
            'towards reverse',
            $settings,
            $movers,
            0.5 * $spacing,
            2.0 * $spacing,
        );
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'neutral_still',
                'In neutral nothing drives',
                GateKey::StillAtRest,
                caution: self::DRIVING,
            )
                ->foundToo()
                ->running()
                ->suspecting(...self::ofTheArm()),
            Proof::yesIsRight(
                'order',
                'R1 is slower than R2, and F1 is the slowest forward',
                caution: self::DRIVING,
            )->running()->suspecting(...self::ofTheArm()),
            Proof::yesIsRight(
                'auger_still',
                'With both handles released nothing turns',
                GateKey::StillAtRest,
                caution: self::DRIVING.' Auger area clear: use a stick, never a hand.',
            )->running()->suspecting(
                Suspect::of('a weak or unhooked idler spring', Cure::Spring),
                Suspect::of('a stiff idler or pivot', Cure::Oiled),
                Suspect::of('a belt that drags in its guides'),
            ),
        ];
    }

    /** @return list<Suspect> where the settings are right and the drive is not (common practice, no source) */
    private static function ofTheArm(): array
    {
        return [
            Suspect::of('a bent arm or bracket', Cure::Mount),
            Suspect::of('a worn or loose friction wheel'),
        ];
    }

    public function lookOver(): array
    {
        return [
            new Inspection(
                'wire',
                'Wire or rod',
                'Z-bends break: look, grease. Two overlapping bars do the same on rod types',
                GateKey::WireSound,
            ),
            new Inspection('bracket', 'Arm and bracket', 'Marked where they stand before anything is moved'),
            new Inspection('disc', 'Friction wheel and disc', 'Rubber worn, oily disc'),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::running(
                GateKey::StillAtRest,
                'Still in neutral and at rest',
                'It drives in neutral, or something turns with the handles released.',
            ),
            Gate::atRest(GateKey::WireSound, 'Wire or rod sound', 'The selector wire is damaged.'),
        ];
    }

    public function tryingCaution(): string
    {
        return 'Wrench and clamp off the arm first. '.self::DRIVING;
    }

    public function drawing(): TableDrawing
    {
        return TableDrawing::Disc;
    }

    public function replacing(): array
    {
        return [
            new GuideStep(
                'unloaded',
                'Lever to the fastest forward, the arm turned back with a wrench and clamped: no tension on the wire',
                'Its return spring is strong.',
            ),
            ...Replacement::usual(),
            new GuideStep('greased', 'Grease on the Z-bend'),
        ];
    }

    public function refit(): array
    {
        return [
            new Step(
                'clamp_off',
                'Wrench and clamp off the arm, slowly; bracket bolt tight',
                'Its return spring is strong.',
            ),
            new Step('guards', 'Covers and guards back on, tools out', 'Nothing is run before they are.'),
        ];
    }

    public function imitators(): array
    {
        return [
            'Arm and bracket may move opposite ways: a small trial shows it.',
            'A bent arm or worn friction wheel shows as detents that contradict each other.',
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => [self::CARBON_MONOXIDE.' Wheels clear, auger off, nobody in front.'],
            JobStage::Set => [
                'Fastest forward unloads the arm; clamp it: its return spring is strong. Mark the bracket, hold the bolt head, move slightly, tighten.',
            ],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    /** No figure: what it does at its detents. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Selector,
            'Speed selector',
            'friction disc',
            [AdjusterKind::SlottedBracket],
            null,
            [self::table(
                ['R2' => -2, 'R1' => -1, 'F1' => 1, 'F2' => 2, 'F3' => 3, 'F4' => 4, 'F5' => 5, 'F6' => 6],
                null,
                0.0,
                [Mover::of(AdjusterKind::SlottedBracket->value, null, null, 0.15)],
            )],
        );
    }
}
