<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Demo\DemoPeople;
use Database\Demo\DemoWorkshop;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use VividPull\Core\Log\Role;

/** Fills an empty workshop: with the demo, or with one lead whose password is made here and shown once. */
final class BeginWorkshop extends Command
{
    protected $signature = 'workshop:begin {--demo : load the demo workshop} {--today= : the day the demo is set in, YYYY-MM-DD}';

    protected $description = 'Fill an empty workshop with the demo, or with its first lead';

    public function handle(): int
    {
        $empty = User::query()->doesntExist();
        if ($this->option('demo') === true) {
            $this->demo($empty);
        } elseif ($empty) {
            $this->firstLead();
        }

        return self::SUCCESS;
    }

    private function demo(bool $empty): void
    {
        if ($empty) {
            $today = $this->option('today');
            DemoWorkshop::load(is_string($today) ? CarbonImmutable::parse($today) : CarbonImmutable::now());
        }
        $this->line('  Demo sign-ins:');
        foreach (DemoPeople::ALL as [$login, , $role, $password]) {
            $this->line(sprintf('    %-8s %-14s %s', $login, $password, $role->value));
        }
    }

    private function firstLead(): void
    {
        $password = Str::password(16, symbols: false);
        User::query()->create([
            'login' => 'lead',
            'name' => 'Workshop lead',
            'role' => Role::Lead,
            'password' => $password,
        ]);
        $this->line('  The first lead signs in as lead with this password, shown only now:');
        $this->line("    {$password}");
    }
}
