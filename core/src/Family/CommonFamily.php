<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\CouplingRatio;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\TableDrawing;
use VividPull\Core\Trace\WorkingEnd;

/** What holds of most controls. A family says only what is particular to it. */
abstract readonly class CommonFamily implements Family
{
    protected const QUALIFIED = 'Ask a qualified technician when in doubt.';

    protected const EACH_LINE = 'Nothing is touched until each line is true.';

    /** What is said of the whole proof; what runs says its own caution with it. */
    protected const PROVING = 'By hand first, engine off. What runs comes after the refit.';

    protected const CARBON_MONOXIDE = 'Running tests outdoors: carbon monoxide kills.';

    public function usualRatio(ReadingPoint $point): CouplingRatio
    {
        return match ($point) {
            ReadingPoint::FerruleGap, ReadingPoint::CarburettorBarrel => CouplingRatio::of(1.0, Knowledge::Measured),
            ReadingPoint::LeverTip, ReadingPoint::PerchGap, ReadingPoint::ReleaseArm, ReadingPoint::GripFlange,
            ReadingPoint::HandleTravel,
            ReadingPoint::GripBackward => CouplingRatio::of($this->usualMultiple(), Knowledge::Default),
        };
    }

    /** Travel at the hand for one millimetre of conduit, where nothing is drawn. */
    protected function usualMultiple(): float
    {
        return 3.0;
    }

    public function moved(): string
    {
        return 'handle';
    }

    public function worksWhileHeld(): bool
    {
        return false;
    }

    /** Oil inside the conduit, grease on pivots and Z-bends. Common practice, no source. */
    public function consumables(): array
    {
        return ['light oil', 'grease for pivots', 'rag', 'gloves'];
    }

    public function againAndAgain(): string
    {
        return 'Look at the belt, at what the cable works on, and for a wire that stretches.';
    }

    public function bedsIn(): bool
    {
        return false;
    }

    public function replacing(): array
    {
        return Replacement::usual();
    }

    public function workingEnd(): ?WorkingEnd
    {
        return null;
    }

    public function drawing(): TableDrawing
    {
        return TableDrawing::Lanes;
    }

    public function movesWithHeat(): bool
    {
        return false;
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

    public function wearCause(Drift $seen): WearCause
    {
        return match ($seen) {
            Drift::GrowsPlay => WearCause::Stretch,
            Drift::ShrinksPlay => WearCause::Tightening,
        };
    }

    public function notSettable(): ?string
    {
        return null;
    }

    /** @return list<Measure> */
    public function measures(Spec $spec): array
    {
        return [];
    }

    /** Whether a clutch of plates holds under load. */
    protected static function holds(string $caution): Proof
    {
        return Proof::choice(
            'no_slip',
            'Lever out, in a high gear against the brake, or under load: does it hold?',
            [
                'holds' => 'It holds: the engine labours or stalls',
                'slips' => 'It slips: the engine speeds up, the wheel does not',
            ],
            ['holds'],
            "{$caution} Once and briefly: a clutch that slips gets hot. Or as the book has it.",
        )->running();
    }

    /** @return list<Cure> */
    public function cures(): array
    {
        return [
            Cure::Route, Cure::Mount, Cure::Spring, Cure::Ferrule, Cure::Clips, Cure::Freed, Cure::Oiled, Cure::Other,
        ];
    }

    /** @return list<string> */
    public function imitators(): array
    {
        return [];
    }

    /** @return list<Proof> */
    public function proofs(Run $run): array
    {
        return [];
    }

    /** @return list<Step> */
    public function makeSafe(): array
    {
        return [
            new Step(
                'engine_off',
                'Engine off, key out or spark lead off',
                'Never measure a running belt, blade or chain.',
            ),
            new Step(
                'neutral',
                'In neutral, brake set, wheels chocked or on rated stands',
                'On stands rated for it, never on a jack alone. A raised bed is propped.',
            ),
            new Step(
                'clear',
                'Blade, auger and drive areas clear, everything stopped',
                'Fuel tap shut and tank low before a machine is laid on its side.',
            ),
            new Step(
                'manual',
                'The machine\'s own manual is at hand',
                'Manual and local law win over anything shown here.',
            ),
        ];
    }

    /** @return list<Inspection> */
    public function lookOver(): array
    {
        return [
            new Inspection(
                'wire',
                'Inner wire',
                'Fray behind the end fittings, rust, kinks, a Z-bend worn thin',
                GateKey::WireSound,
            ),
            new Inspection('conduit', 'Conduit and route', 'Strands poking out, tight bends, clips home'),
            new Inspection('handle', 'Handle and pivots', 'Springs back by itself, pivots greased, nothing bent'),
            new Inspection('end', 'Working end', 'Spring whole, arm and bracket straight, belt not stretched'),
        ];
    }

    /** @return list<Pose> */
    public function poses(): array
    {
        return [];
    }

    /** @return list<Step> */
    public function refit(): array
    {
        return [new Step(
            'guards',
            'Guards, springs and belt covers back on, wheels down, spark lead on',
            'Nothing is run before they are.',
        )];
    }

    public function runsItsTable(): bool
    {
        return true;
    }

    public function tryingCaution(): ?string
    {
        return null;
    }

    /** @return list<Step> */
    public function closing(): array
    {
        return [new Step('restored', 'What was moved aside is back and tried, tools are out')];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::MakeSafe => [self::EACH_LINE],
            JobStage::LookOver => ['Springs store force: mind eyes and fingers.'],
            JobStage::AsFound => ['Draw the control fully three times before each reading.'],
            JobStage::Set => [
                'Engine off. Hold the wire when an old adjuster is stiff. Note which hole, rung or thread before anything comes apart.',
            ],
            JobStage::Prove => [self::PROVING],
            JobStage::Close => [self::QUALIFIED],
        };
    }
}
