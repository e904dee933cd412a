<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\CouplingRatio;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
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
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A multi-plate clutch worked by a hand lever. Too tight and it slips and burns; too loose and it drags and creeps.
 * Erring loose beats erring tight (common practice, no source).
 */
final readonly class ClutchLever extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::ClutchLever;
    }

    private const RUNNING = 'Outdoors: carbon monoxide kills. Brake on, nobody in front, hands clear of chain and wheel.';

    public function title(): string
    {
        return 'Clutch lever';
    }

    public function moved(): string
    {
        return 'lever';
    }

    public function usualRatio(ReadingPoint $point): CouplingRatio
    {
        return match ($point) {
            ReadingPoint::FerruleGap => CouplingRatio::of(1.0, Knowledge::Measured),
            ReadingPoint::PerchGap => CouplingRatio::of(0.8, Knowledge::Default),
            ReadingPoint::ReleaseArm => CouplingRatio::of(1.0, Knowledge::Default),
            ReadingPoint::LeverTip, ReadingPoint::GripFlange, ReadingPoint::CarburettorBarrel,
            ReadingPoint::HandleTravel, ReadingPoint::GripBackward => CouplingRatio::of(3.5, Knowledge::Default),
        };
    }

    public function startingPolicy(): Policy
    {
        return Policy::Loose;
    }

    public function drift(): Drift
    {
        return Drift::ShrinksPlay;
    }

    /** Plates and case grow with heat: cold or hot is written down (common practice, no source). */
    public function movesWithHeat(): bool
    {
        return true;
    }

    public function symptoms(): array
    {
        return [
            Symptom::Slips, Symptom::CreepsIn, Symptom::HardToShift, Symptom::BitesEarly, Symptom::BitesLate,
            Symptom::Soft, Symptom::Heavy, Symptom::NoSpringBack, Symptom::PlayChanges, Symptom::EndOfThread,
            Symptom::Wobbles, Symptom::AgainAndAgain,
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
            new Step(
                'exhaust_cool',
                'Exhaust and case cool enough to work by',
                'Hot exhaust burns. Work only where a sleeve cannot touch it.',
            ),
            new Step(
                'wire_clipped',
                'Cable clipped as it will run, perch at riding angle',
                'Mark the perch before turning it for access, and put it back.',
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
                'wire',
                'Inner wire',
                'Fray behind the end fittings, broken strands, rust, kinks',
                GateKey::WireSound,
            ),
            new Inspection('conduit', 'Conduit and route', 'Kinks, tight bends, strands poking out, ferrules seated'),
            new Inspection('perch', 'Perch and barrel', 'Wobble, stripped thread, cracked slot, boot torn'),
            new Inspection('arm', 'Release arm and bracket', 'Bent bracket, weak return spring, clip missing'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            ...$this->armProofs($run),
            Proof::yesIsRight('arm_loose', 'Release arm loose by hand, just feelable', GateKey::ArmFree)
                ->noWants(Bearing::Taut)
                ->mayBeHidden()
                ->suspecting(
                    Suspect::of('a spring that pulls the arm', Cure::Spring),
                    Suspect::of('no gap at the push rod'),
                    Suspect::of('the arm on the wrong spline'),
                ),
            Proof::yesIsRight('wiggle_still', 'Lever wiggled through its play: the arm stays still')
                ->noWants(Bearing::MoreSlack)
                ->mayBeHidden()
                ->suspecting(
                    Suspect::of('a spring that pulls the arm', Cure::Spring),
                    Suspect::of('a conduit that moves in its seat', Cure::Ferrule),
                ),
            ...self::whenRun(),
        ];
    }

    /** @return list<Proof> what is tried with the engine running */
    private static function whenRun(): array
    {
        return [
            Proof::yesIsRight(
                'no_creep',
                'In gear with the lever in, it does not creep',
                GateKey::Releases,
                caution: self::RUNNING.' Rear wheel clear of people.',
            )
                ->running()
                ->noWants(Bearing::LessSlack)
                ->suspecting(
                    Suspect::of('the arm on the wrong spline'),
                    Suspect::of('the wrong oil, or oil too thick in the cold', Cure::EngineOil),
                    Suspect::toReplace('warped or notched plates', Part::Plates),
                ),
            self::holds(self::RUNNING)->erring(['slips' => Bearing::Taut])->suspecting(
                Suspect::of('the wrong or old oil', Cure::EngineOil),
                Suspect::toReplace('worn or burnt plates', Part::Plates),
                Suspect::of('weak clutch springs'),
            ),
            Proof::choice('bite', 'Where does it bite?', [
                'early' => 'As it leaves the bar', 'middle' => 'In the middle', 'late' => 'At the very end',
            ], ['middle'], 'Test ride only by a licensed rider in gear, away from traffic.')
                ->running()
                ->mayBeLeftAs(['early', 'late'])
                ->erring(['early' => Bearing::LessSlack, 'late' => Bearing::MoreSlack])
                ->suspecting(
                    Suspect::of('the arm on the wrong spline'),
                    Suspect::of('worn ends of screw, rod or arm'),
                    Suspect::toReplace('a worn pack', Part::Plates),
                ),
        ];
    }

    /**
     * An arm on the wrong spline gives a lever that feels normal although the clutch springs are never reached.
     *
     * @return list<Proof>
     */
    private function armProofs(Run $run): array
    {
        return ! $run->has(AdjusterKind::SplineArm) ? [] : [
            Proof::choice('springs_felt', 'Lever drawn slowly, past the return spring: what comes after it?', [
                'springs' => 'The clutch springs: it grows much heavier',
                'return_only' => 'Nothing more: only the return spring',
            ], ['springs'], 'Marks that meet at rest prove nothing. An arm on the wrong spline feels normal.', GateKey::SpringsReached)->suspecting(
                Suspect::of('the arm on the wrong spline'),
                Suspect::of('worn ends of screw, rod or arm'),
            ),
        ];
    }

    public function cures(): array
    {
        return [Cure::Perch, Cure::EngineOil, ...parent::cures()];
    }

    /** @return list<string> */
    public function imitators(): array
    {
        return [
            'Arm on the wrong spline: the lever feels normal and the clutch springs are never reached.',
            'Worn ends of screw, rod or arm; a worn pack: measure before buying.',
            'Hot engine against a cold figure; the wrong oil in a wet clutch.',
        ];
    }

    public function gates(): array
    {
        return [
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'Clutch wire is damaged.'),
            Gate::running(GateKey::NotTaut, 'Cable has play', 'Clutch cable is taut: the clutch is held partly open.'),
            Gate::running(
                GateKey::ArmFree,
                'Release arm free at rest',
                'The release arm is not free at rest: the clutch is held partly open.',
            ),
            Gate::running(
                GateKey::SpringsReached,
                'Clutch springs reached',
                'Only the return spring is felt: the clutch springs are never reached.',
            ),
            Gate::running(GateKey::Releases, 'Releases fully', 'It creeps with the lever in.'),
            Gate::running(
                GateKey::PackSound,
                'Plates and springs within their limits',
                'A plate or spring is at or past its limit.',
            ),
        ];
    }

    /** Both ends on nuts: perch first off, arm first on only after its bracket (common practice, no source). */
    public function replacing(): array
    {
        return [
            Replacement::note(
                'Photograph the route before anything comes off: steering head, past the exhaust, clips, both fittings',
            ),
            Replacement::slack('All adjusters fully in, slots of barrel, ring and perch in line'),
            new GuideStep(
                'perch_off',
                'Draw the wire out of the perch and unhook its end',
                'A small plastic sheath may sit on it: keep it.',
            ),
            GuideStep::ifFitted(
                'bracket_off',
                'Engine end: both bracket nuts loose, the outer one off, slide it out of the bracket',
            ),
            new GuideStep(
                'arm_off',
                'Unhook it from the release arm',
                'Still tight: give more slack, never lever it off.',
            ),
            Replacement::compare(),
            Replacement::draw(),
            Replacement::routed('Route as it was: steering head, past the exhaust, clips'),
            Replacement::sheaths(),
            new GuideStep('perch_on', 'Hook the perch end, its sheath home in its seat'),
            GuideStep::ifFitted('bracket_on', 'Inner nut far in, outer nut off, through the bracket, outer nut on'),
            new GuideStep('arm_on', 'Hook the release arm, the captive side first'),
            GuideStep::ifFitted(
                'kept_in',
                'Wire tab or flap bent back over the end, keeper plate flat behind its flange',
            ),
            GuideStep::ifFitted('arm_spring', 'Return spring in front of its peg', Replacement::SPRINGS),
            Replacement::hook(),
        ];
    }

    public function closing(): array
    {
        return [new Step('restored', 'What was moved aside is back, tools are out')];
    }

    public function refit(): array
    {
        return [
            new Step('slots_apart', 'Slots of barrel, ring and perch out of line', 'In line, the wire can jump out.'),
            new Step(
                'refitted',
                'Covers, springs and guards back on, oil in, wheels down',
                'Nothing is run before they are.',
            ),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::LookOver => [
                'Springs and clips: mind eyes and fingers. A frayed wire is replaced, not adjusted.',
            ],
            JobStage::AsFound => ['Pull the lever fully three times before each reading. Lock ring nipped.'],
            JobStage::Set => ['Engine off. Hold the wire when an old adjuster is stiff: rust can twist it off.'],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    public function wearCause(Drift $seen): WearCause
    {
        return match ($seen) {
            Drift::GrowsPlay => WearCause::SelfLoosening,
            Drift::ShrinksPlay => WearCause::Plates,
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::ClutchSprings;
    }

    /** 3 to 5 mm at the lever, cold (common practice, no source). */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Lever,
            'Clutch lever',
            'release arm',
            [AdjusterKind::Barrel, AdjusterKind::BracketNuts],
            FreePlayBand::at(ReadingPoint::LeverTip, SpecBand::between(3, 5)),
        );
    }
}
