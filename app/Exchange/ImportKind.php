<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\User;
use Carbon\CarbonImmutable;

/** What can be taken in line by line. */
enum ImportKind: string
{
    case History = 'history';
    case Specs = 'specs';

    public function import(User $by): LineImport
    {
        return match ($this) {
            self::History => new HistoryImport($by, CarbonImmutable::now((string) config('app.workshop_timezone'))->toDateString()),
            self::Specs => new SpecImport($by),
        };
    }
}
