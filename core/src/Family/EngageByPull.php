<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A walking tractor's drive that clamps as its handle is pushed down. Wear and stretch both make it looser: it slips
 * under load.
 */
final readonly class EngageByPull extends DriveClutch
{
    public function key(): FamilyKey
    {
        return FamilyKey::EngageByPull;
    }

    public function worksWhileHeld(): bool
    {
        return true;
    }

    public function title(): string
    {
        return 'Drive clutch, engaged by its pull';
    }

    public function symptoms(): array
    {
        return [
            Symptom::Weak, Symptom::Slips, Symptom::CreepsOut, Symptom::HardToPullBack, Symptom::DeadTravel,
            Symptom::NoSpringBack, Symptom::Heavy, Symptom::EndOfThread, Symptom::AgainAndAgain,
            Symptom::PlayChanges,
        ];
    }

    public function drift(): Drift
    {
        return Drift::GrowsPlay;
    }

    public function imitators(): array
    {
        return [
            'It slips under load while the engine holds its speed: wear or stretch; look for a stretched belt first.',
            'Hollow bolts first, at either end. The pinch clamp is last: it notches the wire.',
        ];
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
        return WorkingEnd::Belt;
    }

    /** Motion within about 1 in of handle travel, and always some slack (common practice, no source). */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Handle,
            'Drive handle',
            'drive clutch',
            [AdjusterKind::HollowBolt, AdjusterKind::PinchClamp],
            FreePlayBand::at(ReadingPoint::HandleTravel, SpecBand::between(null, 25.4)),
        );
    }
}
