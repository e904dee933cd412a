<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Exchange\Importing;
use App\Models\ImportFile;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Writes what an import brings, all of it or nothing. */
final class RunImport implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 1800;

    public function __construct(public string $import) {}

    public function handle(): void
    {
        Importing::run(ImportFile::query()->findOrFail($this->import));
    }
}
