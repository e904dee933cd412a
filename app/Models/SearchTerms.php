<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/**
 * What somebody types to find a row: each word is looked for by itself, in the one column that holds all words of the
 * row.
 */
final readonly class SearchTerms
{
    private const MOST = 6;

    /**
     * Machines that have every word in what is said of them, or in their tag and plate without dashes.
     *
     * @param  Builder<Machine>  $machines
     */
    public static function among(Builder $machines, string $find): void
    {
        foreach (self::words($find) as $word) {
            $bare = self::bare($word);
            $machines->where(static fn (Builder $any) => $any
                ->where('words', 'like', self::pattern($word))
                ->when($bare !== '', static fn (Builder $or) => $or->orWhereRaw(
                    self::bareOf("concat_ws('', tag, plate)").' like ?',
                    [self::pattern($bare)],
                )));
        }
    }

    /**
     * The machine whose whole tag was typed first, also where it was typed without its dash.
     *
     * @param  Builder<Machine>  $machines
     * @return Builder<Machine>
     */
    public static function bestFirst(Builder $machines, string $find): Builder
    {
        return $machines->orderByRaw(
            'tag = ? desc, '.self::bareOf('tag').' = ? desc, tag',
            [$find, self::bare($find)],
        );
    }

    /** @return list<string> patterns for `words like`, all of which must hold */
    public static function patterns(string $find): array
    {
        return array_map(self::pattern(...), self::words($find));
    }

    /** @return list<string> */
    private static function words(string $find): array
    {
        $words = preg_split('/\s+/u', $find, -1, PREG_SPLIT_NO_EMPTY);

        return array_slice($words === false ? [] : $words, 0, self::MOST);
    }

    private static function pattern(string $word): string
    {
        return '%'.addcslashes($word, '%_\\').'%';
    }

    /** A column as people type it, without dashes and spaces. */
    private static function bareOf(string $column): string
    {
        return "replace(replace({$column}, '-', ''), ' ', '')";
    }

    private static function bare(string $typed): string
    {
        return (string) preg_replace('/[\s\-–—.\/]+/u', '', $typed);
    }
}
