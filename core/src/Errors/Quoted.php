<?php

declare(strict_types=1);

namespace VividPull\Core\Errors;

/** Outside text as it may stand in one of our sentences: one line, printable, cut at 40 characters. */
final readonly class Quoted
{
    private const LONGEST = 40;

    public static function text(string $outside): string
    {
        $valid = mb_scrub($outside, 'UTF-8');
        $line = trim((string) preg_replace('/[\p{C}\s]+/u', ' ', $valid));
        $short = mb_strlen($line) > self::LONGEST ? mb_substr($line, 0, self::LONGEST).'…' : $line;

        return '“'.$short.'”';
    }
}
