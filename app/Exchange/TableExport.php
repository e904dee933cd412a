<?php

declare(strict_types=1);

namespace App\Exchange;

/** Rows on their way out, as CSV for programs, CSV for spreadsheets, or JSON with a row on each line. */
abstract readonly class TableExport
{
    private const FLAGS = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;

    abstract protected function format(): string;

    abstract protected function key(): string;

    /** @return list<string> */
    abstract protected function columns(): array;

    /** @return iterable<mixed> */
    abstract protected function rows(): iterable;

    /** @return list<string|int|float|null> */
    abstract protected function cells(mixed $row): array;

    protected function wire(mixed $row): mixed
    {
        return array_combine($this->columns(), $this->cells($row));
    }

    /** @param  resource  $out */
    public function write($out, string $format): void
    {
        $format === 'json' ? $this->json($out) : $this->csv($out, $format === 'spreadsheet');
    }

    /** @param  resource  $out */
    private function csv($out, bool $forSpreadsheet): void
    {
        Csv::begin($out, $forSpreadsheet);
        Csv::write($out, $this->columns(), $forSpreadsheet);
        foreach ($this->rows() as $row) {
            Csv::write($out, $this->cells($row), $forSpreadsheet);
        }
    }

    /** @param  resource  $out */
    private function json($out): void
    {
        fwrite($out, '{"format":"'.$this->format().'","'.$this->key()."\":[\n");
        $begun = false;
        foreach ($this->rows() as $row) {
            fwrite($out, ($begun ? ",\n" : '').json_encode($this->wire($row), self::FLAGS));
            $begun = true;
        }
        fwrite($out, ($begun ? "\n" : '')."]}\n");
    }
}
