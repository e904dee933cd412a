<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

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
}
