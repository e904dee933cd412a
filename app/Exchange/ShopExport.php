<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Chain\DayHeads;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use stdClass;
use ZipArchive;

/**
 * A whole shop as one zip of JSON lines and pictures. Sorted, and without the time it was made, so that the same shop
 * makes the same bytes. Read in pieces, so that a large shop needs no more memory than a small one.
 */
final readonly class ShopExport
{
    public const FORMAT = 'vivid-pull/shop@1';

    public const FLAGS = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE
        | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    private const PIECE = 500;

    /** 1 January 1980, the first moment a zip can tell. */
    private const FIXED_TIME = 315_532_800;

    /** @throws RuntimeException If the file cannot be written. */
    public static function to(string $path): void
    {
        $folder = $path.'.parts';
        is_dir($folder) || mkdir($folder, 0700, true);
        try {
            // One transaction reads one moment of the shop (repeatable read is the database's default), however long
            // the writing takes.
            DB::transaction(static fn () => self::write($path, $folder));
        } finally {
            $parts = glob("{$folder}/*");
            array_map(unlink(...), $parts === false ? [] : $parts);
            rmdir($folder);
        }
    }

    private static function write(string $path, string $folder): void
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("The export could not be written to {$path}. Is the disk full?");
        }
        $manifest = ['format' => self::FORMAT, 'heads' => (object) DayHeads::all(), 'tables' => []];
        foreach (array_keys(ShopTables::EXPORTED) as $table) {
            $file = "{$folder}/{$table}.jsonl";
            $rows = self::lines($table, $file);
            $manifest['tables'][$table] = ['rows' => $rows, 'sha256' => (string) hash_file('sha256', $file)];
            self::put($zip, $file, "{$table}.jsonl");
        }
        foreach (ShopTables::PICTURES as $table => [$column, $into]) {
            self::pictures($zip, $folder, $table, $column, $into);
        }
        file_put_contents("{$folder}/manifest.json", json_encode($manifest, self::FLAGS | JSON_PRETTY_PRINT)."\n");
        self::put($zip, "{$folder}/manifest.json", 'manifest.json');
        self::put($zip, base_path('docs/formats/shop.schema.json'), 'shop.schema.json');
        if (! $zip->close()) {
            throw new RuntimeException("The export could not be finished at {$path}. Is the disk full?");
        }
    }

    /** @return int rows written */
    private static function lines(string $table, string $file): int
    {
        $out = fopen($file, 'wb');
        if ($out === false) {
            throw new RuntimeException("The export could not be written to {$file}.");
        }
        $columns = ShopTables::columns($table, array_values(Schema::getColumnListing($table)));
        $rows = 0;
        foreach (self::rows($table, $columns) as $row) {
            $line = json_encode(self::meaning($table, $row), self::FLAGS)."\n";
            if (fwrite($out, $line) !== strlen($line)) {
                throw new RuntimeException('The disk is full: the export was not finished.');
            }
            $rows++;
        }
        fclose($out);

        return $rows;
    }

    /**
     * @param  list<string>  $columns
     * @return iterable<stdClass>
     */
    private static function rows(string $table, array $columns): iterable
    {
        $order = ShopTables::EXPORTED[$table];
        $last = null;
        do {
            $query = DB::table($table)->select($columns)->limit(self::PIECE);
            foreach ($order as $column) {
                $query->orderBy($column);
            }
            if ($last !== null) {
                $query->whereRaw(
                    '('.implode(', ', array_map(static fn (string $one): string => "`{$one}`", $order)).') > ('
                        .implode(', ', array_fill(0, count($order), '?')).')',
                    array_map(static fn (string $one): mixed => $last->{$one}, $order),
                );
            }
            $piece = $query->get();
            yield from $piece;
            $last = $piece->last();
        } while ($piece->count() === self::PIECE);
    }

    private static function meaning(string $table, stdClass $row): stdClass
    {
        foreach (ShopTables::JSON[$table] ?? [] as $column) {
            $row->{$column} = $row->{$column} === null
                ? null
                : json_decode((string) $row->{$column}, false, 64, JSON_THROW_ON_ERROR);
        }

        return $row;
    }

    private static function pictures(ZipArchive $zip, string $folder, string $table, string $column, string $into): void
    {
        [$key] = ShopTables::EXPORTED[$table];
        foreach (DB::table($table)->orderBy($key)->pluck($key) as $id) {
            $file = "{$folder}/{$into}-{$id}.jpg";
            file_put_contents($file, (string) DB::table($table)->where($key, $id)->value($column));
            self::put($zip, $file, "{$into}/{$id}.jpg");
        }
    }

    private static function put(ZipArchive $zip, string $file, string $name): void
    {
        $zip->addFile($file, $name);
        $zip->setMtimeName($name, self::FIXED_TIME);
        $zip->setExternalAttributesName($name, ZipArchive::OPSYS_UNIX, 0100644 << 16);
    }
}
