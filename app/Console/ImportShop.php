<?php

declare(strict_types=1);

namespace App\Console;

use App\Exchange\ShopImport;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Log\Role;

/** A whole shop into an empty install. */
final class ImportShop extends Command
{
    protected $signature = 'workshop:import {file} {--preview : tries everything and keeps nothing}';

    protected $description = 'Reads a whole shop into an empty install, all of it or nothing';

    public function handle(): int
    {
        $file = $this->argument('file');
        try {
            $report = ShopImport::from(is_string($file) ? $file : '', $this->option('preview') !== true);
        } catch (CoreError $e) {
            $this->line("  {$e->getMessage()}");

            return self::FAILURE;
        }
        foreach ($report['rows'] as $table => $rows) {
            $this->line(sprintf('  %-16s %d', $table, $rows));
        }
        foreach ($report['rejected'] as $one) {
            $this->line("  {$one->place}: {$one->why}");
        }
        if ($report['rejected_in_all'] > 0) {
            $this->line("  {$report['rejected_in_all']} things cannot be taken, so nothing was.");

            return self::FAILURE;
        }
        $report['kept']
            ? $this->passwords()
            : $this->line('  All of it can be taken. Nothing was kept: this was a preview.');

        return self::SUCCESS;
    }

    /** No hash came along, so those who lead get new passwords, shown once. */
    private function passwords(): void
    {
        foreach (User::query()->where('role', Role::Lead)->whereNull('left_at')->orderBy('login')->get() as $lead) {
            $password = Str::password(16, symbols: false);
            $lead->timestamps = false;
            $lead->forceFill(['password' => $password])->save();
            $this->line("  {$lead->name} signs in as {$lead->login} with {$password}, shown only now.");
        }
    }
}
