<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\SpecVersion;
use Illuminate\Support\Facades\DB;

/** The newest version of every spec: whole as JSON, its play and source as CSV. */
final readonly class SpecExport extends TableExport
{
    protected function format(): string
    {
        return 'vivid-pull/specs@1';
    }

    protected function key(): string
    {
        return 'specs';
    }

    protected function columns(): array
    {
        return SpecImport::COLUMNS;
    }

    protected function rows(): iterable
    {
        $newest = DB::table('spec_versions')
            ->selectRaw('model m, control c, max(version) v')
            ->groupBy('model', 'control');
        $query = SpecVersion::query()->select('spec_versions.*');
        $query->joinSub(
            $newest,
            'newest',
            static fn ($join) => $join
                ->on('newest.m', '=', 'spec_versions.model')
                ->on('newest.c', '=', 'spec_versions.control')
                ->on('newest.v', '=', 'spec_versions.version'),
        );
        $query->orderBy('model')->orderBy('control');

        return $query->lazy(200);
    }

    protected function cells(mixed $row): array
    {
        assert($row instanceof SpecVersion);

        return SpecImport::cells($row);
    }

    protected function wire(mixed $row): mixed
    {
        assert($row instanceof SpecVersion);

        return SpecImport::wire($row);
    }
}
