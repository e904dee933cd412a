<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Library\CauseCounts;

/** How often each cause was found here, for other workshops. What came from others is not passed on. */
final readonly class CauseExport extends TableExport
{
    protected function format(): string
    {
        return CauseImport::FORMAT;
    }

    protected function key(): string
    {
        return 'causes';
    }

    protected function columns(): array
    {
        return CauseImport::COLUMNS;
    }

    protected function rows(): iterable
    {
        return CauseCounts::forOthers();
    }

    protected function cells(mixed $row): array
    {
        assert(is_array($row));

        return array_values($row);
    }
}
