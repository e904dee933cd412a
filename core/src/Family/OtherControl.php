<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Bench\JobStage;
use VividPull\Core\Cable\CouplingRatio;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Spec\Policy;

/** Any other cable that is pulled by hand, with play between two edges: a drive, an auger, a brake, a lift. */
final readonly class OtherControl implements Family
{
    public function title(): string
    {
        return 'Other control';
    }

    public function usualRatio(ReadingPoint $point): CouplingRatio
    {
        return match ($point) {
            ReadingPoint::FerruleGap, ReadingPoint::CarburettorBarrel => CouplingRatio::of(1.0, Knowledge::Measured),
            ReadingPoint::LeverTip, ReadingPoint::PerchGap, ReadingPoint::ReleaseArm, ReadingPoint::GripFlange,
            ReadingPoint::HandleTravel, ReadingPoint::GripBackward => CouplingRatio::of(3.0, Knowledge::Default),
        };
    }

    public function startingPolicy(): Policy
    {
        return Policy::Middle;
    }

    public function allowsByChoice(): bool
    {
        return true;
    }

    public function drift(): Drift
    {
        return Drift::GrowsPlay;
    }

    public function makeSafe(): array
    {
        return [
            new Step('engine_off', 'Engine off, key out or spark lead off', 'Never measure a running belt, blade or chain.'),
            new Step('neutral', 'In neutral, brake set, wheels chocked or on rated stands', 'On stands rated for it, never on a jack alone.'),
            new Step('clear', 'Blade, auger and drive areas clear, everything stopped'),
            new Step('manual', 'The machine\'s own manual is at hand', 'Manual and local law win over anything shown here.'),
        ];
    }

    public function lookOver(): array
    {
        return [
            new Inspection('wire', 'Inner wire', 'Fray behind the end fittings, rust, kinks, a Z-bend worn thin', GateKey::WireSound),
            new Inspection('conduit', 'Conduit and route', 'Strands poking out, tight bends, clips home'),
            new Inspection('handle', 'Handle and pivots', 'Springs back by itself, pivots greased, nothing bent'),
            new Inspection('end', 'Working end', 'Spring whole, arm and bracket straight, belt not stretched'),
        ];
    }

    public function proofs(): array
    {
        return [
            Proof::yesIsRight('nothing_at_rest', 'Released: nothing moves, nothing drags', GateKey::StillAtRest, caution: 'Clear of everything that turns. Operator in place, nobody in front.'),
            Proof::yesIsRight('works_fully', 'Pulled: it works fully before the end of its travel'),
            Proof::yesIsRight('springs_back', 'Let go: the handle springs back by itself'),
        ];
    }

    public function gates(): array
    {
        return [
            new Gate(GateKey::StillAtRest, 'Still with the control released', 'It moves with the control released.'),
            new Gate(GateKey::WireSound, 'Inner wire sound', 'The wire is damaged.'),
            new Gate(GateKey::NotTaut, 'Cable has play', 'The cable is taut: it works with the control released.'),
        ];
    }

    public function closing(): array
    {
        return [
            new Step('guards', 'Guards and belt covers back on'),
            new Step('restored', 'What was moved aside is back and tried, tools are out'),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::MakeSafe => ['Nothing is touched until each line is true.'],
            JobStage::LookOver => ['Springs store force: mind eyes and fingers.'],
            JobStage::AsFound => ['Draw the control fully three times before each reading.'],
            JobStage::Set => ['Engine off. Hold the wire when an old adjuster is stiff. Note which hole, rung or thread before anything comes apart.'],
            JobStage::Prove => ['Hard floor first, then under load. Outdoors: carbon monoxide kills.'],
            JobStage::Close => ['Ask a qualified technician when in doubt.'],
        };
    }
}
