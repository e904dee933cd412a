<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * What is put right where no adjuster is the cure, or changed on the bench: readings before and after it do not
 * compare.
 */
enum Cure: string
{
    case Route = 'route';
    case Mount = 'mount';
    case Spring = 'spring';
    case Belt = 'belt';
    case Oiled = 'oiled';
    case Ferrule = 'ferrule';
    case Groove = 'groove';
    case Clips = 'clips';
    case Perch = 'perch';
    case Freed = 'freed';
    case EngineOil = 'engine_oil';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Route => 'Route put right',
            self::Mount => 'Mount, peg or bracket put right',
            self::Spring => 'Spring hooked or replaced',
            self::Belt => 'Belt replaced or put back',
            self::Oiled => 'Oiled, pivots greased',
            self::Ferrule => 'Ferrule or end reseated',
            self::Groove => 'Wire back in its groove',
            self::Clips => 'Cable clipped anew',
            self::Perch => 'Perch turned',
            self::Freed => 'Seized adjuster freed',
            self::EngineOil => 'Engine oil changed',
            self::Other => 'Something else put right',
        };
    }
}
