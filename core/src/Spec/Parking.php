<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Quantity\Steps;

/** Where service leaves the adjuster in reach: three schools of common practice, no source. */
enum Parking: string
{
    case Threads = 'threads';
    case InThenBack = 'in_then_back';
    case Middle = 'middle';

    public function label(): string
    {
        return match ($this) {
            self::Threads => 'two to three threads out',
            self::InThenBack => 'in, then back a little',
            self::Middle => 'the middle of its thread',
        };
    }

    /** The positions that count as parked; of a thread too short for them, its far end. */
    public function of(Adjuster $adjuster): StepRange
    {
        $end = $adjuster->travel()->to->count;
        [$from, $to] = match ($this) {
            self::Threads => [2 * Steps::PER_TURN, 3 * Steps::PER_TURN],
            self::InThenBack => [intdiv(Steps::PER_TURN, 2), Steps::PER_TURN],
            self::Middle => [intdiv($end - Steps::PER_TURN, 2), intdiv($end + Steps::PER_TURN, 2)],
        };

        return StepRange::between(Steps::fromCount(max(0, min($from, $end))), Steps::fromCount(max(0, min($to, $end))));
    }
}
