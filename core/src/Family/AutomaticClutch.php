<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/**
 * A centrifugal clutch: it takes hold by engine speed alone. A tight lever or none is normal here, and no play is read.
 */
final readonly class AutomaticClutch extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::AutomaticClutch;
    }

    public function title(): string
    {
        return 'Automatic clutch';
    }

    public function symptoms(): array
    {
        return [Symptom::Slips, Symptom::CreepsOut, Symptom::Jerky, Symptom::HardToShift, Symptom::Heavy];
    }

    public function makeSafe(): array
    {
        return [
            new Step('engine_off', 'Engine off, key out'),
            new Step(
                'neutral',
                'On rated stands, driven wheels free and chocked off',
                'On stands rated for it, never on a jack alone.',
            ),
            new Step(
                'exhaust_cool',
                'Exhaust and case cool enough to work by',
                'Hot exhaust burns. Work only where a sleeve cannot touch it.',
            ),
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
                'lever',
                'Lever and pedal',
                'A tight lever is normal here: it is no clutch lever, or it has nothing to take up',
            ),
            new Inspection('spring', 'Shoes and their springs', 'Glaze, broken spring, wear down to the metal'),
            new Inspection('oil', 'Oil', 'The right kind for a wet clutch, at its level'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'still_at_idle',
                'At idle in gear: it does not creep',
                GateKey::StillAtRest,
                caution: self::CARBON_MONOXIDE.' Brake on, nobody in front.',
            )
                ->foundToo()
                ->running()
                ->suspecting(
                    Suspect::of('an idle set too high'),
                    Suspect::toReplace('a weak or broken shoe spring', Part::Spring),
                    Suspect::of('the wrong oil', Cure::EngineOil),
                ),
            Proof::choice('takes_hold', 'As the engine is raised: how does it take hold?', [
                'smoothly' => 'Smoothly, well above idle', 'late' => 'Late, or with a lot of slip',
                'snatch' => 'With a snatch',
            ], ['smoothly'], 'Test ride only by a licensed rider in gear, away from traffic.')->foundToo()->running()->suspecting(
                Suspect::of('the wrong or old oil', Cure::EngineOil),
                Suspect::toReplace('worn or glazed shoes', Part::Plates),
                Suspect::toReplace('a weak or broken shoe spring', Part::Spring),
            ),
        ];
    }

    public function gates(): array
    {
        return [Gate::running(GateKey::StillAtRest, 'Still at idle', 'It drives off at idle.')];
    }

    public function notSettable(): string
    {
        return 'An automatic clutch has no cable play, and a tight lever is normal. If it slips or creeps, look at idle speed, oil, shoes and their springs, by the machine\'s manual.';
    }

    public function cures(): array
    {
        return [Cure::EngineOil, ...parent::cures()];
    }

    public function refit(): array
    {
        return [new Step('refitted', 'Covers on, oil in, wheels down', 'Nothing is run before they are.')];
    }

    public function closing(): array
    {
        return [new Step('restored', 'What was moved aside is back, tools are out')];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => [self::CARBON_MONOXIDE],
            JobStage::Set => ['Engine off and cool before anything is opened.'],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    /** Nothing is set. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(HandKind::Pedal, 'Gear pedal', 'centrifugal clutch', [], null);
    }
}
