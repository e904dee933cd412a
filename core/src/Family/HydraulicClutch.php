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
use VividPull\Core\Trace\WorkingEnd;

/**
 * A clutch worked by fluid. There is no cable and no cable play; what is wrong with it is put right by the maker's
 * fluid procedure.
 */
final readonly class HydraulicClutch extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::HydraulicClutch;
    }

    public function title(): string
    {
        return 'Hydraulic clutch';
    }

    public function consumables(): array
    {
        return ['the maker\'s fluid', 'grease for the lever', 'rag', 'cover for the paint'];
    }

    public function symptoms(): array
    {
        return [
            Symptom::Soft, Symptom::CreepsIn, Symptom::HardToShift, Symptom::Slips, Symptom::Heavy,
            Symptom::NoSpringBack, Symptom::PlayChanges,
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step('engine_off', 'Engine off, key out'),
            new Step(
                'neutral',
                'In neutral, on its stand, wheels chocked',
                'A machine that rolls or starts in gear can crush.',
            ),
            new Step('covered', 'Paint and hands covered, eyes protected', 'The fluid burns eyes and lifts paint.'),
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
            new Inspection('level', 'Fluid level and colour', 'Between its marks, clear, the kind the cap names'),
            new Inspection('line', 'Line and joints', 'Wet, cracked or swollen line, loose banjo', GateKey::WireSound),
            new Inspection('lever', 'Lever and its pivot', 'Push rod has its own small clearance, pivot greased'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::choice(
                'lever_feel',
                'Lever drawn and held: how does it feel?',
                ['firm' => 'Firm, and stays there', 'spongy' => 'Spongy', 'sinks' => 'Sinks to the bar'],
                ['firm'],
            )->foundToo()->suspecting(
                Suspect::of('air in the line'),
                Suspect::of('a swollen hose or a wet joint'),
                Suspect::of('a worn seal at the lever or at the clutch: it sinks'),
            ),
            Proof::yesIsRight(
                'no_creep',
                'In gear with the lever in, it does not creep',
                GateKey::StillAtRest,
                caution: self::CARBON_MONOXIDE
                    .' Brake on, nobody in front. Rear wheel clear of people. Test ride only by a licensed rider in gear, away from traffic.',
            )
                ->foundToo()
                ->running()
                ->suspecting(
                    Suspect::of('air in the line, or fluid too low'),
                    Suspect::of('a push rod without its clearance'),
                    Suspect::toReplace('warped or notched plates', Part::Plates),
                ),
            self::holds(self::CARBON_MONOXIDE.' Brake on, nobody in front, hands clear of chain and wheel.')
                ->foundToo()
                ->suspecting(
                    Suspect::of('a lever without its free travel, that holds the piston in'),
                    Suspect::of('the wrong or old oil', Cure::EngineOil),
                    Suspect::toReplace('worn or burnt plates', Part::Plates),
                ),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::atRest(GateKey::WireSound, 'Line sound and dry', 'The clutch line leaks.'),
            Gate::running(GateKey::StillAtRest, 'Releases fully', 'It drives with the lever in.'),
        ];
    }

    public function cures(): array
    {
        return [Cure::Oiled, Cure::EngineOil, Cure::Other];
    }

    public function notSettable(): string
    {
        return 'A hydraulic clutch has no cable play to set. A spongy or sinking lever is bled and its fluid changed by the maker\'s own fluid procedure, with the fluid the cap names.';
    }

    public function closing(): array
    {
        return [new Step('restored', 'What was moved aside is back, tools out')];
    }

    public function refit(): array
    {
        return [new Step(
            'refitted',
            'Cap and cover back on, spilt fluid washed off, wheels down',
            'Nothing is run before they are.',
        )];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => ['Draw the lever fully three times first.'],
            JobStage::Set => ['Only the maker\'s fluid procedure, with the fluid the cap names.'],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::ClutchSprings;
    }

    /** Nothing is set: no cable. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(HandKind::Lever, 'Clutch lever', 'slave cylinder', [], null);
    }
}
