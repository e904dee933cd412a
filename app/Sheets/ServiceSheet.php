<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Bench\Service;
use App\Bench\ShopClock;
use App\Models\Machine;
use App\Models\User;
use Carbon\CarbonImmutable;

/** One machine in one visit, on paper: what to lay out, in which order, and what was signed today. */
final readonly class ServiceSheet
{
    /** @return array<string, mixed> */
    public static function of(Machine $machine, User $by): array
    {
        return [
            'machine' => $machine,
            'service' => Service::of($machine, CarbonImmutable::now(), $by->person()),
            'printed_at' => ShopClock::now()->format('j F Y, H:i'),
        ];
    }
}
