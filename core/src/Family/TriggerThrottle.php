<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
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
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A throttle worked by a trigger, on trimmers and pole saws. Full trigger is wide open; released it is fully closed
 * with a little slack, so that the idle screw keeps its authority and the wire's end cannot fall out on a snap release.
 * Never left outside its band by choice.
 */
final readonly class TriggerThrottle extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::TriggerThrottle;
    }

    public function worksWhileHeld(): bool
    {
        return true;
    }

    public function title(): string
    {
        return 'Throttle trigger';
    }

    public function moved(): string
    {
        return 'trigger';
    }

    protected function usualMultiple(): float
    {
        return 2.5;
    }

    public function allowsByChoice(): bool
    {
        return false;
    }

    public function symptoms(): array
    {
        return [
            Symptom::NotWideOpen, Symptom::StaysOpen, Symptom::CreepsOut, Symptom::DeadTravel, Symptom::Heavy,
            Symptom::NoSpringBack, Symptom::PlayChanges, Symptom::AgainAndAgain, Symptom::EndOfThread,
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step(
                'engine_off',
                'Engine off, spark lead off the plug',
                'A trigger pulled with the engine running turns the head.',
            ),
            new Step(
                'cool',
                'Exhaust and cylinder cool enough to work by',
                'Hot exhaust burns; fuel vapour lights. No flame near.',
            ),
            new Step('head_clear', 'Cutting head clear, blade guard on or blade off'),
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
                'Fray right behind the carburettor end, the end home in its keyhole',
                GateKey::WireSound,
            ),
            new Inspection(
                'conduit',
                'Conduit and route',
                'Two-piece cables joined at their eye, clips home, nothing pinched by the shaft clamp',
            ),
            new Inspection(
                'bracket',
                'Bracket at the carburettor',
                'Bent when the tool was pulled about by its cable: bent back once if not cracked, else replaced',
            ),
            new Inspection('trigger', 'Trigger and lock-out', 'Returns by itself, lock-out blocks it until pressed'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                Proof::WIDE_OPEN,
                'Trigger fully pulled: the carburettor is wide open',
            )->noWants(Bearing::LessSlack)->suspecting(...Suspect::ofNotReaching()),
            Proof::yesIsRight('snap_shut', 'Let go: snaps shut by itself', GateKey::SnapShut)
                ->noWants(Bearing::Taut)
                ->suspecting(
                    Suspect::of('a dry wire', Cure::Oiled),
                    Suspect::of('a stiff trigger', Cure::Oiled),
                    Suspect::of('a weak return spring', Cure::Spring),
                    Suspect::of('a route that binds', Cure::Route),
                ),
            Proof::yesIsRight(
                'end_home',
                'Snapped several times: the wire\'s end stays in its keyhole',
                GateKey::WireInGroove,
            )->suspecting(
                Suspect::of('the brass piece beside its seat', Cure::Ferrule),
                Suspect::of('a worn keyhole'),
            ),
            Proof::yesIsRight(
                'idle_still',
                'At idle the head stands still',
                GateKey::StillAtRest,
                caution: 'Outdoors: carbon monoxide kills. Head clear of the ground, hands and feet clear of it, nobody within the machine\'s safe distance.',
            )
                ->running()
                ->noWants(Bearing::Taut)
                ->suspecting(
                    Suspect::of('an idle set too high'),
                    Suspect::of('worn clutch springs at the head'),
                ),
        ];
    }

    /** @return list<string> */
    public function imitators(): array
    {
        return [
            'A bracket bent when the tool was pulled about by its cable: bend it back once if it is not cracked, else replace it.',
        ];
    }

    public function gates(): array
    {
        return [
            Gate::atRest(GateKey::SnapShut, 'Snaps shut', 'Throttle does not snap shut.'),
            Gate::running(GateKey::StillAtRest, 'Head still at idle', 'The head turns with the trigger released.'),
            Gate::atRest(GateKey::WireInGroove, 'Wire end home', 'Throttle wire comes out of its keyhole.'),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'Throttle wire is damaged.'),
            Gate::atRest(GateKey::NotTaut, 'Cable has play', 'Throttle cable is taut and can hold the throttle open.'),
        ];
    }

    /** Two pieces joined at an eye, on most; about ten minutes (common practice, no source). */
    public function replacing(): array
    {
        return [
            new GuideStep(
                'covers_off',
                'Filter cover and filter off, then engine covers and starter screws, kept in their order',
            ),
            Replacement::note(
                'Look first, and photograph: how the cable lies in its track, and where the guide nut sits',
            ),
            Replacement::slack(
                'Lift the cable\'s stop out and free some conduit from the track: slack',
                'The top cover clamped that stop.',
            ),
            GuideStep::ifFitted('joint_off', 'Open the joint of the two pieces: one side is open, tilt and slide'),
            new GuideStep(
                'keyhole_off',
                'Work the trigger for clearance, draw the wire out of the carrier\'s slot, lift its end out of the keyhole',
            ),
            Replacement::compare(),
            new GuideStep(
                'keyhole_on',
                'New end down through the keyhole, pulled forward until it locks, brass piece in its seat',
                'An end not home falls out on a snap release.',
            ),
            GuideStep::ifFitted('joint_on', 'Joint together, its open side towards you, before the route is laid'),
            new GuideStep('laid', 'Guide nut back, the conduit\'s edge at the beginning of its track'),
            Replacement::hook(),
        ];
    }

    public function closing(): array
    {
        return [
            new Step('restored', 'What was moved aside is back, tools out'),
        ];
    }

    public function refit(): array
    {
        return [
            new Step('cable_cover', 'The cover that holds the cable\'s stop is back on'),
            new Step(
                'guard',
                'Blade guard and engine covers on, spark lead on last',
                'Nothing is run before they are.',
            ),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::LookOver => ['Fuel is near: no flame. A frayed wire is replaced, not adjusted.'],
            JobStage::AsFound => [
                'Let the trigger snap back before each reading. 1/16 in or less at the barrel is common practice.',
            ],
            JobStage::Set => [
                'Hold the wire when an old adjuster is stiff. Both ends of the travel are tried before it is locked.',
            ],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::ThrottleSpring;
    }

    /** A little slack, 1/16 in or less at the barrel (common practice, no source). */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Trigger,
            'Throttle trigger',
            'carburettor',
            [AdjusterKind::InLine],
            FreePlayBand::at(ReadingPoint::CarburettorBarrel, SpecBand::between(null, 25.4 / 16)),
        );
    }
}
