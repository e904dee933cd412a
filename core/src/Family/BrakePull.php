<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Bearing;
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
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A brake worked by a cable, or any other pull that must let go fully and hold before the end of its travel. Not
 * holding: do not run.
 */
final readonly class BrakePull extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::BrakePull;
    }

    public function title(): string
    {
        return 'Brake pull';
    }

    public function symptoms(): array
    {
        return [
            Symptom::DoesNotHold, Symptom::Drags, Symptom::Heavy, Symptom::NoSpringBack, Symptom::EndOfThread,
            Symptom::AgainAndAgain, Symptom::PlayChanges,
        ];
    }

    public function moved(): string
    {
        return 'lever';
    }

    protected function usualMultiple(): float
    {
        return 3.5;
    }

    public function allowsByChoice(): bool
    {
        return false;
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight('no_drag', 'Released: the wheel turns freely, no drag')
                ->noWants(Bearing::Taut)
                ->suspecting(
                    Suspect::of('a weak return spring', Cure::Spring),
                    Suspect::of('a dry cam or pivot', Cure::Oiled),
                    Suspect::of('shoes beside their place'),
                ),
            Proof::choice(
                'holds',
                'Applied: where does it hold?',
                [
                    'before_end' => 'Well before the lever\'s end',
                    'at_end' => 'Only at the very end',
                    'not' => 'It does not hold',
                ],
                ['before_end'],
                'At walking pace first, away from traffic, on the level, then on a slope with chocks ready. Nobody in front. Outdoors: carbon monoxide kills.',
                GateKey::BrakeHolds,
            )
                ->running()
                ->erring(['at_end' => Bearing::LessSlack, 'not' => Bearing::LessSlack])
                ->suspecting(
                    Suspect::toReplace('worn, oily or glazed shoes or pads', Part::Plates),
                    ...Suspect::ofNotReaching(),
                ),
            Proof::yesIsRight(
                'springs_back',
                'Let go: the lever springs back by itself',
            )->suspecting(...Suspect::ofComingBack()),
        ];
    }

    public function lookOver(): array
    {
        return [
            new Inspection(
                'wire',
                'Inner wire',
                'Fray behind the end fittings and at the pinch clamp, rust, kinks',
                GateKey::WireSound,
            ),
            new Inspection('conduit', 'Conduit and route', 'Strands poking out, tight bends, ferrules seated'),
            new Inspection('shoes', 'Shoes or pads and the drum', 'Worn to their limit, oily, glazed'),
            new Inspection('arm', 'Brake arm and return spring', 'Arm past square when applied, spring weak'),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::running(GateKey::BrakeHolds, 'Brake holds', 'The brake does not hold.'),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'The brake wire is damaged.'),
            Gate::running(GateKey::NotTaut, 'Cable has play', 'The brake cable is taut: the brake drags.'),
        ];
    }

    public function imitators(): array
    {
        return ['Arm past square when applied: worn shoes, not a slack cable.'];
    }

    public function closing(): array
    {
        return [new Step('restored', 'What was moved aside is back, tools are out')];
    }

    public function refit(): array
    {
        return [new Step(
            'refitted',
            'Guards on, wheels down; a tied-down brake pumped before it moves',
            'Nothing moves before they are.',
        )];
    }

    /** Common practice, no source. */
    public function replacing(): array
    {
        return [
            new GuideStep('chocked', 'On the level, wheels chocked', 'It has no brake while the cable is off.'),
            Replacement::note('Photograph route, clamp and fittings before anything comes off'),
            Replacement::slack('All adjusters to full slack, bolts run home'),
            GuideStep::ifFitted('clamp_off', 'Pinch clamp open, the wire drawn out'),
            new GuideStep(
                'unhook',
                'Unhook it at the brake arm and at the lever',
                'Still tight: give more slack, never lever it off.',
            ),
            Replacement::compare(),
            Replacement::draw(),
            Replacement::sheaths(),
            new GuideStep('hook_on', 'Hook the lever end, then the brake arm, ferrules home in their seats'),
            GuideStep::ifFitted('clamp_on', 'Wire through the pinch clamp, brake arm at rest, clamp tight'),
            GuideStep::ifFitted('spring_on', 'Return spring of the arm back in its hole', Replacement::SPRINGS),
            Replacement::routed(),
            new GuideStep('settled', 'Lever drawn hard ten times: a new cable settles before it is set'),
            Replacement::hook(),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => ['Draw the lever fully three times before each reading.'],
            JobStage::Set => [
                'Wheels chocked: the brake does not hold while it is set. Hold the wire when an old adjuster is stiff. Bolt home before the clamp is moved.',
            ],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    public function wearCause(Drift $seen): WearCause
    {
        return match ($seen) {
            Drift::GrowsPlay => WearCause::LiningAndStretch,
            Drift::ShrinksPlay => WearCause::Tightening,
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::BrakeBand;
    }

    /** The trade has no figure: no drag released, holds before the end of the lever. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(HandKind::Lever, 'Brake lever', 'brake', [AdjusterKind::Barrel], null);
    }
}
