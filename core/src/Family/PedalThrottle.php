<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A throttle worked by a pedal through a governor, on utility and golf carts: a primary cable from the pedal to the
 * governor arm, a secondary from the governor to the carburettor. Opening and closing are proved first, primary before
 * secondary, the governor last; governed speed is never raised past the maker's limit.
 */
final readonly class PedalThrottle extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::PedalThrottle;
    }

    public function worksWhileHeld(): bool
    {
        return true;
    }

    public function title(): string
    {
        return 'Throttle pedal';
    }

    public function moved(): string
    {
        return 'pedal';
    }

    public function allowsByChoice(): bool
    {
        return false;
    }

    public function symptoms(): array
    {
        return [
            Symptom::LowTopSpeed, Symptom::TooFast, Symptom::NotWideOpen, Symptom::Jerky, Symptom::DeadTravel,
            Symptom::StaysOpen, Symptom::Heavy, Symptom::NoSpringBack, Symptom::PlayChanges, Symptom::EndOfThread,
            Symptom::AgainAndAgain,
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step(
                'key_out',
                'Key out, in neutral, parking brake set',
                'Pressing the pedal may start the engine and drive off.',
            ),
            new Step(
                'wheels_free',
                'Driven wheels on rated stands, free to turn, the others chocked',
                'On stands rated for it, never on a jack alone. A raised bed is propped.',
            ),
            new Step(
                'cool',
                'Exhaust and carburettor cool enough to work by',
                'Hot exhaust burns; fuel vapour lights. No flame near.',
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
                'Inner wires, primary and secondary',
                'Fray behind the end fittings and at the governor arm, rust, kinks',
                GateKey::WireSound,
            ),
            new Inspection('conduit', 'Conduits and route', 'Pinched under the floor, ferrules seated'),
            new Inspection('pedal', 'Pedal and its return', 'Springs back by itself, mat clear of it'),
            new Inspection(
                'governor',
                'Governor arm and spring',
                'Arm straight, spring whole, at least half an inch of thread behind its nut',
            ),
        ];
    }

    public function measures(Spec $spec): array
    {
        return [
            Measure::proved(MeasureKey::Tyre, 1),
            Measure::running(
                MeasureKey::GroundSpeed,
                3,
                GateKey::SpeedGoverned,
                'Outdoors: carbon monoxide kills. Away from traffic, seated, nobody in front. Only where driving it is allowed.',
            ),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                Proof::WIDE_OPEN,
                'Pedal fully down: the carburettor is wide open, and no more',
            )->noWants(Bearing::LessSlack)->suspecting(
                Suspect::of('a mat or a stop that keeps the pedal up'),
                ...Suspect::ofNotReaching(),
            ),
            Proof::yesIsRight('snap_shut', 'Pedal let go: it snaps fully shut by itself', GateKey::SnapShut)
                ->noWants(Bearing::Taut)
                ->suspecting(
                    Suspect::of('a dry wire', Cure::Oiled),
                    Suspect::of('a stiff pedal', Cure::Oiled),
                    Suspect::of('a weak return spring', Cure::Spring),
                    Suspect::of('a route that binds', Cure::Route),
                ),
            Proof::choice(
                'take_off',
                'How does it take off?',
                [
                    'smooth' => 'Smoothly',
                    'jerky' => 'With a jerk: too tight',
                    'dead' => 'After a long dead pedal: too loose',
                ],
                ['smooth'],
                'Outdoors: carbon monoxide kills. Seated, key in last, nobody in front.',
            )
                ->running()
                ->erring(['jerky' => Bearing::MoreSlack, 'dead' => Bearing::LessSlack])
                ->suspecting(Suspect::of('a dry or stiff governor arm', Cure::Oiled), ...Suspect::ofNotReaching()),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::atRest(GateKey::SnapShut, 'Snaps shut', 'Throttle does not snap shut.'),
            Gate::atRest(GateKey::WireSound, 'Inner wires sound', 'A throttle wire is damaged.'),
            Gate::atRest(
                GateKey::NotTaut,
                'Both cables have play',
                'A throttle cable is taut and can hold the throttle open.',
            ),
            Gate::running(
                GateKey::SpeedGoverned,
                'Within its governed speed',
                'It runs faster than the maker\'s limit.',
            ),
        ];
    }

    public function imitators(): array
    {
        return [
            'Low speed: a slack cable is often the real cause. Prove opening and closing first; the governor comes last.',
        ];
    }

    public function closing(): array
    {
        return [
            new Step('restored', 'What was moved aside is back, tools are out'),
        ];
    }

    public function refit(): array
    {
        return [
            new Step('floor', 'Floor and covers back, mat clear of the pedal', 'Nothing is run before they are.'),
            new Step('wheels_down', 'Off its stands, wheels down, tools out'),
        ];
    }

    /** Common practice, no source. */
    public function replacing(): array
    {
        return [
            Replacement::note(
                'Photograph the route before anything comes off: pedal, governor arm, carburettor, which cable sits where',
            ),
            Replacement::slack('All adjusters of this cable to full slack'),
            GuideStep::ifFitted(
                'spring_off',
                'Governor spring in the way: its hole noted, then unhooked',
                'In another hole it governs another speed.',
            ),
            new GuideStep(
                'unhook',
                'Unhook it at the pedal or the carburettor, then at the governor arm',
                'Never bend the governor arm.',
            ),
            Replacement::compare(),
            Replacement::draw(),
            Replacement::sheaths(),
            new GuideStep(
                'hook_on',
                'Hook it at the governor arm, then at the other end, ferrules home in their seats',
            ),
            GuideStep::ifFitted('spring_on', 'Governor spring back in the same hole', Replacement::SPRINGS),
            Replacement::routed(),
            new GuideStep(
                'pressed',
                'Pedal pressed by hand and let go: it opens, it returns, nothing is trapped',
                'Key out: pressing the pedal may start the engine and drive off.',
            ),
            Replacement::hook(),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::LookOver => ['Fuel is near: no flame. A frayed wire is replaced, not adjusted.'],
            JobStage::AsFound => ['Let the pedal come up by itself before each reading.'],
            JobStage::Set => [
                'Key out. Primary, then secondary; the governor last, and never past the maker\'s limit. Hold the wire when an old adjuster is stiff.',
            ],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::ThrottleSpring;
    }

    /** The trade has no figure for the pedal. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(HandKind::Pedal, 'Throttle pedal', 'carburettor', [AdjusterKind::BracketNuts], null);
    }
}
