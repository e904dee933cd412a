<?php

declare(strict_types=1);

namespace App\Console;

use App\Exchange\ShopExport;
use Illuminate\Console\Command;
use RuntimeException;

/** The whole shop into one file. */
final class ExportShop extends Command
{
    protected $signature = 'workshop:export {file}';

    protected $description = 'Writes the whole shop into one zip of JSON lines and pictures';

    public function handle(): int
    {
        $file = $this->argument('file');
        try {
            ShopExport::to(is_string($file) ? $file : '');
        } catch (RuntimeException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
