<?php

declare(strict_types=1);

namespace App\Sheets;

use RuntimeException;

/**
 * A font as the PDF writer takes it, from the file the screens' package ships: WOFF 1.0 (W3C, 2012) is an sfnt whose
 * tables are compressed one by one.
 */
final readonly class TrueType
{
    private const HEADER = 44;

    private const ENTRY = 20;

    public static function fromWoff(string $woff): string
    {
        $head = self::fields('a4signature/Nflavor/Nlength/ncount', substr($woff, 0, 14));
        if ($head['signature'] !== 'wOFF') {
            throw new RuntimeException('This font is no WOFF file.');
        }
        $count = (int) $head['count'];
        $power = 2 ** (int) floor(log($count, 2));
        $directory = '';
        $tables = '';
        for ($n = 0; $n < $count; $n++) {
            $entry = self::fields(
                'a4tag/Noffset/Ncompressed/Nlength/Nsum',
                substr($woff, self::HEADER + $n * self::ENTRY, self::ENTRY),
            );
            $data = substr($woff, (int) $entry['offset'], (int) $entry['compressed']);
            $data = $entry['compressed'] < $entry['length'] ? (string) gzuncompress($data) : $data;
            $directory .= pack(
                'a4NNN',
                $entry['tag'],
                $entry['sum'],
                12 + 16 * $count + strlen($tables),
                $entry['length'],
            );
            $tables .= str_pad($data, (int) (4 * ceil(strlen($data) / 4)), "\0");
        }

        return pack('Nnnnn', $head['flavor'], $count, $power * 16, (int) log($power, 2), $count * 16 - $power * 16)
            .$directory.$tables;
    }

    /** @return array<string, int|string> */
    private static function fields(string $format, string $bytes): array
    {
        $fields = unpack($format, $bytes);

        return $fields === false ? throw new RuntimeException('This font is cut off.') : $fields;
    }
}
