<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/**
 * What stands before the decimals. Either is read, whoever types it; thousands are parted by a space, which neither can
 * be taken for.
 */
enum DecimalMark: string
{
    case Point = 'point';
    case Comma = 'comma';

    public function label(): string
    {
        return $this === self::Point ? '1 234.5' : '1 234,5';
    }

    public function sign(): string
    {
        return $this === self::Point ? '.' : ',';
    }
}
