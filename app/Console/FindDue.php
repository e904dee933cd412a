<?php

declare(strict_types=1);

namespace App\Console;

use App\Bench\NextLook;
use App\Models\Machine;
use Illuminate\Console\Command;

/**
 * The days on which controls fall due, worked out anew from log and meters: after an upgrade, whose rules may be
 * others.
 */
final class FindDue extends Command
{
    protected $signature = 'workshop:due';

    protected $description = 'Works out anew when every control falls due';

    public function handle(): int
    {
        Machine::query()->whereNull('retired_at')->lazyById(100)->each(NextLook::refreshAll(...));

        return self::SUCCESS;
    }
}
