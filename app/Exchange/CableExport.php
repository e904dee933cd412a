<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\CableRow;

/** The book of cables. On which control each is, is of this shop alone. */
final readonly class CableExport extends TableExport
{
    protected function format(): string
    {
        return CableImport::FORMAT;
    }

    protected function key(): string
    {
        return 'cables';
    }

    protected function columns(): array
    {
        return CableImport::COLUMNS;
    }

    protected function rows(): iterable
    {
        return CableRow::query()->orderBy('number')->orderBy('id')->get();
    }

    protected function cells(mixed $row): array
    {
        assert($row instanceof CableRow);
        $said = $row->asWritten();
        $said['adjusters'] = $said['adjusters'] === []
            ? CableImport::NONE
            : (is_array($said['adjusters']) ? implode(' ', $said['adjusters']) : null);

        return array_map(
            static fn (string $column): string|int|float|null => is_scalar($said[$column]) && ! is_bool($said[$column])
                ? $said[$column]
                : null,
            CableImport::COLUMNS,
        );
    }
}
