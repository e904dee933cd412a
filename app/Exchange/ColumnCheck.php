<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\EntryRequest;
use Illuminate\Support\Facades\Schema;
use stdClass;
use VividPull\Core\Errors\Quoted;

/** Whether a line of a file fits its table: the columns it must have, and what each can hold. */
final readonly class ColumnCheck
{
    /** Columns that came after shops had been exported without them. */
    private const SINCE = [
        ['entries', 'device'], ['entries', 'chain'], ['photos', 'sum'], ['spec_sketches', 'sum'], ['audits', 'subject'],
        ['users', 'lengths'], ['users', 'forces'], ['users', 'speeds'], ['users', 'decimals'], ['intakes', 'none_stops'],
    ];

    private const MOMENT = '/^(\d{4})-(\d{2})-(\d{2})(?: ([01]\d|2[0-3]):[0-5]\d:[0-5]\d(?:\.\d{1,3})?)?$/';

    private const RANGES = [
        'bigint' => [0, PHP_INT_MAX],
        'int' => [-2_147_483_648, 4_294_967_295],
        'smallint' => [0, 65_535],
        'tinyint' => [0, 1],
    ];

    /** @param  array<string, array{type: string, full: string, nullable: bool}>  $columns */
    private function __construct(private string $table, private array $columns) {}

    public static function of(string $table): self
    {
        $columns = [];
        foreach (Schema::getColumns($table) as $column) {
            $columns[$column['name']] = [
                'type' => $column['type_name'],
                'full' => $column['type'],
                'nullable' => $column['nullable'],
            ];
        }
        $wanted = ShopTables::columns($table, array_keys($columns));

        return new self($table, array_intersect_key($columns, array_flip($wanted)));
    }

    /** @return string|null what is wrong; null where nothing is */
    public function complaint(mixed $row): ?string
    {
        if (! $row instanceof stdClass) {
            return 'this line is no object.';
        }
        foreach (array_keys(get_object_vars($row)) as $key) {
            if (! isset($this->columns[$key])) {
                return Quoted::text((string) $key).' is no column of '.$this->table.'.';
            }
        }
        foreach ($this->columns as $name => $column) {
            if (! property_exists($row, $name)) {
                // A shop of an older version knows nothing of a column that came since: it is empty there.
                if (in_array([$this->table, $name], self::SINCE, true)) {
                    $row->{$name} = null;

                    continue;
                }

                return "“{$name}” is missing.";
            }
            $why = $this->value($name, $column, $row->{$name});
            if ($why !== null) {
                return "{$name}: {$why}";
            }
        }

        return null;
    }

    /** @param  array{type: string, full: string, nullable: bool}  $column */
    private function value(string $name, array $column, mixed $value): ?string
    {
        if ($value === null) {
            return $column['nullable'] ? null : 'this may not be empty.';
        }
        if (in_array($name, ShopTables::JSON[$this->table] ?? [], true)) {
            return $value instanceof stdClass || is_array($value) ? null : 'this is no object.';
        }

        return match ($column['type']) {
            'bigint', 'int', 'smallint', 'tinyint' => self::whole($column['type'], $value),
            'uuid' => is_string($value) && preg_match(EntryRequest::UUID, $value) === 1 ? null : 'this is no UUID.',
            'date', 'datetime', 'timestamp' => self::moment($value),
            default => self::text($column['full'], $value),
        };
    }

    private static function whole(string $type, mixed $value): ?string
    {
        [$least, $most] = self::RANGES[$type];

        return is_int($value) && $value >= $least && $value <= $most
            ? null
            : 'this is no whole number from '.$least.' to '.$most.'.';
    }

    private static function moment(mixed $value): ?string
    {
        return is_string($value)
            && preg_match(self::MOMENT, $value, $part) === 1
            && checkdate((int) $part[2], (int) $part[3], (int) $part[1])
            ? null
            : 'this is no moment, such as 2026-03-31 08:15:00.';
    }

    private static function text(string $type, mixed $value): ?string
    {
        if (! is_string($value) || ! mb_check_encoding($value, 'UTF-8')) {
            return 'this is no text.';
        }
        $most = match (true) {
            preg_match('/\((\d+)\)/', $type, $part) === 1 => (int) $part[1],
            str_starts_with($type, 'mediumtext') => 16_777_215,
            default => 65_535,
        };

        return mb_strlen($value) <= $most ? null : "this is longer than the {$most} letters that are kept.";
    }
}
