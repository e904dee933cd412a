<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Why a cable is replaced rather than set. */
enum ReplacementReason: string
{
    case Frayed = 'frayed';
    case Kinked = 'kinked';
    case Rusted = 'rusted';
    case StrandsOut = 'strands_out';
    case Stiff = 'stiff';
    case OutOfThread = 'out_of_thread';
    case EndBroken = 'end_broken';
    case Wrong = 'wrong';

    public function label(): string
    {
        return match ($this) {
            self::Frayed => 'Frayed',
            self::Kinked => 'Kinked',
            self::Rusted => 'Rusted, cannot be pulled by hand',
            self::StrandsOut => 'Conduit strands poke out',
            self::Stiff => 'Stiff after oiling',
            self::OutOfThread => 'Adjusters at their end',
            self::EndBroken => 'An end fitting broke',
            self::Wrong => 'The wrong cable is fitted',
        };
    }
}
