<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

/**
 * A walking tractor's drive that clamps as its handle is pushed down. Wear and stretch both make it looser: it slips under load.
 */
final readonly class EngageByPull extends DriveClutch
{
    public function title(): string
    {
        return 'Drive clutch, engaged by its pull';
    }

    public function drift(): Drift
    {
        return Drift::GrowsPlay;
    }

    public function imitators(): array
    {
        return ['It slips under load while the engine holds its speed: wear or stretch; look for a stretched belt first.', 'Hollow bolts first, at either end. The pinch clamp is last: it notches the wire.'];
    }
}
