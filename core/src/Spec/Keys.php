<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Errors\Quoted;

/** Keys by which a table finds its rows: each must be its own, or one row would silently stand for another. */
final readonly class Keys
{
    /**
     * @param  list<string>  $keys
     *
     * @throws OutOfRange If one stands there twice.
     */
    public static function mustDiffer(string $what, array $keys): void
    {
        $seen = [];
        foreach ($keys as $key) {
            if (isset($seen[$key])) {
                throw OutOfRange::twice($what, Quoted::text($key));
            }
            $seen[$key] = true;
        }
    }
}
