<?php

declare(strict_types=1);

namespace App\Console;

use App\Bench\ShopClock;
use App\Chain\ChainCheck;
use App\Chain\DayHeads;
use Illuminate\Console\Command;

/** Whether the log is still the one that was written. */
final class VerifyLog extends Command
{
    protected $signature = 'workshop:verify {--day= : the head as it was at the end of this day}';

    protected $description = 'Works every chain of the log out anew and names the first row that was altered, added or taken out';

    public function handle(): int
    {
        $day = $this->option('day') ?? ShopClock::now()->utc()->format('Y-m-d');
        if (! is_string($day) || preg_match('/^\d{4}-\d{2}-\d{2}$/', $day) !== 1) {
            $this->line('A day is written as 2026-11-27.');

            return self::INVALID;
        }
        $check = new ChainCheck;
        $why = $check->complaint();
        $this->line(
            $why ?? "{$check->entries} entries in {$check->visits} visits, each as it was written. Pictures too.",
        );
        $this->line("Head of the log on {$day}: ".DayHeads::on($day));

        return $why === null ? self::SUCCESS : self::FAILURE;
    }
}
