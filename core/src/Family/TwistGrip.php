<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\CouplingRatio;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Pose;
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
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A throttle worked by a twist grip. It must snap shut by itself wherever the bars stand; too much play is dangerous
 * too, for the wire can leave its groove and hold the throttle open. Never left outside its band by choice.
 */
final readonly class TwistGrip extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::TwistGrip;
    }

    public function worksWhileHeld(): bool
    {
        return true;
    }

    public function title(): string
    {
        return 'Throttle grip';
    }

    public function moved(): string
    {
        return 'grip';
    }

    public function usualRatio(ReadingPoint $point): CouplingRatio
    {
        return match ($point) {
            ReadingPoint::FerruleGap, ReadingPoint::CarburettorBarrel => CouplingRatio::of(1.0, Knowledge::Measured),
            ReadingPoint::GripFlange, ReadingPoint::GripBackward, ReadingPoint::LeverTip, ReadingPoint::PerchGap,
            ReadingPoint::ReleaseArm, ReadingPoint::HandleTravel => CouplingRatio::of(1.3, Knowledge::Default),
        };
    }

    public function allowsByChoice(): bool
    {
        return false;
    }

    public function symptoms(): array
    {
        return [
            Symptom::StaysOpen, Symptom::IdleRises, Symptom::NotWideOpen, Symptom::DeadTravel, Symptom::Heavy,
            Symptom::NoSpringBack, Symptom::PlayChanges, Symptom::EndOfThread, Symptom::AgainAndAgain,
            Symptom::Jerky,
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step('engine_off', 'Engine off, key out'),
            new Step(
                'parked',
                'In neutral, parking brake set, wheels chocked',
                'A throttle that opens in gear drives off.',
            ),
            new Step(
                'cool',
                'Carburettor and exhaust cool enough to work by',
                'Hot exhaust burns; fuel vapour lights. No flame near.',
            ),
            new Step('bars_free', 'Bars free to turn from stop to stop, nothing hung on them'),
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
                'Fray behind the end fittings and at the carburettor, rust, kinks',
                GateKey::WireSound,
            ),
            new Inspection(
                'conduit',
                'Conduit and route',
                'Tight bends, trapped at the steering head, ferrules seated',
            ),
            new Inspection(
                'grip',
                'Grip and drum',
                'Grip binds on the bar end, drum cracked, rubber turning on the tube',
            ),
            new Inspection('spring', 'Return spring and bracket', 'Weak or broken spring, bent bracket, boot torn'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'snap_shut',
                'Opened fully and let go: snaps shut by itself',
                GateKey::SnapShut,
                [Pose::Straight, Pose::Left, Pose::Right],
            )
                ->noWants(Bearing::Taut)
                ->suspecting(
                    Suspect::of('a dry or kinked wire', Cure::Oiled),
                    Suspect::of('a grip that rubs at the end of the bar'),
                    Suspect::of('a weak return spring', Cure::Spring),
                    Suspect::of('a route that binds', Cure::Route),
                ),
            Proof::yesIsRight(
                'wire_in_groove',
                'Wire lies in its groove on the drum',
                GateKey::WireInGroove,
            )->suspecting(
                Suspect::of('the wire beside its drum', Cure::Groove),
                Suspect::of('a worn groove'),
            ),
            Proof::yesIsRight(
                'idle_steady',
                'Idle stays steady while steering from stop to stop',
                caution: 'Outdoors: carbon monoxide kills. In neutral, brake set, nobody in front.',
            )
                ->running(Running::Open)
                ->noWants(Bearing::Taut)
                ->suspecting(
                    Suspect::of('a wire or hose that is pulled as the bars turn', Cure::Route),
                    Suspect::of('a route that binds', Cure::Route),
                ),
        ];
    }

    public function cures(): array
    {
        return [Cure::Groove, Cure::Perch, ...parent::cures()];
    }

    public function gates(): array
    {
        return [
            Gate::atRest(GateKey::SnapShut, 'Snaps shut in every pose', 'Throttle does not snap shut.'),
            Gate::atRest(GateKey::WireInGroove, 'Wire in its groove', 'Throttle wire is out of its groove.'),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'Throttle wire is damaged.'),
            Gate::atRest(
                GateKey::NotTaut,
                'Cable has play in every pose',
                'Throttle cable is taut and can hold the throttle open.',
            ),
        ];
    }

    /** On its wheels, bars full left, straight, full right: the tightest spot decides. */
    public function poses(): array
    {
        return [Pose::Straight, Pose::Left, Pose::Right];
    }

    /** Boots and covers stay off until every pose has passed. */
    public function refit(): array
    {
        return [];
    }

    public function replacing(): array
    {
        return [
            Replacement::note(
                'Photograph the route before anything comes off: steering head, clips, which cable sits where on drum and carburettor',
            ),
            Replacement::slack(
                'Boots back, all adjusters of this cable to full slack',
                'Hold the wire when turning an old adjuster: rust can twist it off.',
            ),
            new GuideStep('drum_off', 'Grip housing open, wire out of its groove, its end out of the drum'),
            new GuideStep('carburettor_off', 'Unhook it at the carburettor', 'Fuel vapour lights: no flame near.'),
            Replacement::compare(),
            Replacement::draw(),
            Replacement::sheaths(),
            new GuideStep('carburettor_on', 'Hook it at the carburettor, conduit home in its seat'),
            new GuideStep(
                'drum_on',
                'End in the drum, wire in its groove, housing shut without pinching it',
                'A wire out of its groove can hold the throttle open.',
            ),
            new GuideStep('free_steering', 'Bars from stop to stop: nothing pulls, nothing is trapped'),
            Replacement::hook(),
        ];
    }

    public function closing(): array
    {
        return [
            new Step('boots', 'Boots pulled home over the adjusters'),
            new Step('restored', 'What was moved aside is back, tools are out'),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::LookOver => ['Fuel is near: no flame. A frayed wire is replaced, not adjusted.'],
            JobStage::AsFound => [
                'Let the grip snap back to rest before each reading. Do not push it back past rest, except where the closing cable itself is read.',
            ],
            JobStage::Set => [
                'Hold the wire when turning an old adjuster. Short spanner, held close, nut barely nipped.',
            ],
            JobStage::Prove => ['On its wheels. Boots and covers stay off until every pose has passed.'],
            default => parent::cautions($stage),
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::ThrottleSpring;
    }

    /** 2 to 6 mm of arc at the flange (common practice, no source). */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Grip,
            'Throttle grip',
            'carburettor',
            [AdjusterKind::InLine, AdjusterKind::BracketNuts],
            FreePlayBand::at(ReadingPoint::GripFlange, SpecBand::between(2, 6)),
        );
    }
}
