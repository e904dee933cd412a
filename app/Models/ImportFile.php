<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A file being taken in. It lies beside the server until it is done with; how far it got is written beside it, since
 * what is written in one transaction is seen only at its end.
 *
 * @property string $id
 * @property int $user_id
 * @property string $kind
 * @property string $name
 * @property string $state
 * @property int $lines
 * @property array<string, mixed> $report
 * @property CarbonImmutable $at
 * @property CarbonImmutable|null $finished_at
 */
final class ImportFile extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $table = 'imports';

    protected $guarded = [];

    protected $keyType = 'string';

    public function path(): string
    {
        $folder = storage_path('app/imports');
        is_dir($folder) || mkdir($folder, 0700, true);

        return "{$folder}/{$this->id}";
    }

    public function progress(int $lines): void
    {
        file_put_contents($this->path().'.progress', (string) $lines);
    }

    public function done(): int
    {
        $written = @file_get_contents($this->path().'.progress');

        return $written === false ? 0 : (int) $written;
    }

    public function forget(): void
    {
        @unlink($this->path());
        @unlink($this->path().'.progress');
        $this->delete();
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'report' => 'array',
            'at' => 'immutable_datetime:Y-m-d H:i:s.v',
            'finished_at' => 'immutable_datetime:Y-m-d H:i:s.v',
            'lines' => 'integer',
        ];
    }
}
