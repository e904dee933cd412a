<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/**
 * The units that sentences are said in, for as long as something is worked out: a figure asks here when it is put into words. Nothing is judged by
 * it, and nothing that is kept is worked out otherwise than in millimetres.
 */
final class Spoken
{
    private static LengthStyle $lengths = LengthStyle::Millimetres;

    private function __construct() {}

    public static function lengths(): LengthStyle
    {
        return self::$lengths;
    }

    /**
     * Works something out with its sentences in these units; afterwards they are what they were.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function in(LengthStyle $lengths, callable $do): mixed
    {
        $before = self::$lengths;
        self::$lengths = $lengths;
        try {
            return $do();
        } finally {
            self::$lengths = $before;
        }
    }

    /**
     * As it is kept: in millimetres.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function kept(callable $do): mixed
    {
        return self::in(LengthStyle::Millimetres, $do);
    }
}
