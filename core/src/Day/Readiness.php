<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

use VividPull\Core\Spec\EngineHeat;

/**
 * When a control can be read: what is measured cold comes first thing, what is measured hot after the machine has run.
 */
enum Readiness: string
{
    case Cold = 'cold';
    case Any = 'any';
    case Cooling = 'cooling';
    case Soaking = 'soaking';
    case Hot = 'hot';

    /**
     * @param  EngineHeat|null  $asked  the heat its figure holds at; null where it holds in any
     * @param  float|null  $stood  minutes since the engine ran; null where nobody noted it
     * @param  bool  $soaks  whether new plates for it still lie in oil
     */
    public static function of(?EngineHeat $asked, ?float $stood, bool $soaks): self
    {
        return match (true) {
            $soaks => self::Soaking,
            $asked === EngineHeat::Hot => self::Hot,
            $asked === EngineHeat::Cold && $stood !== null && Cooling::minutesLeft($stood) > 0.0 => self::Cooling,
            $asked === EngineHeat::Cold => self::Cold,
            default => self::Any,
        };
    }

    /** Its place in the day. */
    public function order(): int
    {
        return match ($this) {
            self::Cold => 0,
            self::Any => 1,
            self::Cooling => 2,
            self::Soaking => 3,
            self::Hot => 4,
        };
    }
}
