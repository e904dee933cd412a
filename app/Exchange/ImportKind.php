<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\ShopClock;
use App\Models\User;

/** What can be taken in line by line. */
enum ImportKind: string
{
    case History = 'history';
    case Readings = 'readings';
    case Specs = 'specs';
    case Causes = 'causes';
    case Cables = 'cables';

    public function import(User $by): LineImport
    {
        $today = ShopClock::today();

        return match ($this) {
            self::History => new HistoryImport($by, $today),
            self::Readings => new ReadingsImport($by, $today),
            self::Specs => new SpecImport($by),
            self::Causes => new CauseImport($by),
            self::Cables => new CableImport($by),
        };
    }
}
