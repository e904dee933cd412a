<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/**
 * The units that sentences are said in, for as long as something is worked out: a figure asks here when it is put into
 * words. Nothing is judged by it, and nothing that is kept is worked out otherwise than in the units in which
 * everything is kept.
 */
final class Spoken
{
    private static ?Units $units = null;

    private function __construct() {}

    public static function units(): Units
    {
        return self::$units ??= Units::kept();
    }

    public static function lengths(): LengthStyle
    {
        return self::units()->lengths;
    }

    /**
     * Works something out with its sentences in these units; afterwards they are what they were.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function in(Units|LengthStyle $units, callable $do): mixed
    {
        $before = self::$units;
        self::$units = $units instanceof LengthStyle ? new Units($units) : $units;
        try {
            return $do();
        } finally {
            self::$units = $before;
        }
    }

    /**
     * As it is kept: in millimetres, newtons and kilometres an hour.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function kept(callable $do): mixed
    {
        return self::in(Units::kept(), $do);
    }
}
