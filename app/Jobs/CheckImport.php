<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Exchange\Importing;
use App\Models\ImportFile;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Considers every line of an import and keeps nothing. */
final class CheckImport implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 1800;

    public function __construct(public string $import) {}

    public function handle(): void
    {
        Importing::check(ImportFile::query()->findOrFail($this->import));
    }
}
