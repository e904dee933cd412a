<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Wear\WearCause;

/**
 * A walking tractor's drive that lets go as its handle is pulled. Wear makes it tighter: slacken it, or it burns.
 */
final readonly class ReleaseByPull extends DriveClutch
{
    public function title(): string
    {
        return 'Drive clutch, released by its pull';
    }

    public function drift(): Drift
    {
        return Drift::ShrinksPlay;
    }

    public function imitators(): array
    {
        return ['It burns or slips though nothing was touched: wear has made it taut. Slacken it first.', 'Hollow bolts first, at either end. The pinch clamp is last: it notches the wire.'];
    }

    public function wearCause(Drift $seen): WearCause
    {
        return match ($seen) {
            Drift::GrowsPlay => WearCause::Stretch,
            Drift::ShrinksPlay => WearCause::Lining,
        };
    }

    /** Motion within about 1 in of handle travel, and always some slack (common practice, no source). */
    public function starting(): Starting
    {
        return new Starting(HandKind::Handle, 'Drive handle', 'drive clutch', [AdjusterKind::HollowBolt, AdjusterKind::PinchClamp], FreePlayBand::at(ReadingPoint::HandleTravel, SpecBand::between(null, 25.4)));
    }
}
