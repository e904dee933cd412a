<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What somebody types to find a row: each word is looked for by itself, in the one column that holds all words of the
 * row.
 */
final readonly class SearchTerms
{
    private const MOST = 6;

    /** @return list<string> patterns for `words like`, all of which must hold */
    public static function patterns(string $find): array
    {
        $words = preg_split('/\s+/u', $find, -1, PREG_SPLIT_NO_EMPTY);

        return array_map(
            static fn (string $word): string => '%'.addcslashes($word, '%_\\').'%',
            array_slice($words === false ? [] : $words, 0, self::MOST),
        );
    }
}
