<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/**
 * Coins that serve as feelers, with their published thickness in mm: the United States Mint's specifications for
 * the cents, the European Central Bank's for the euro coins. A coin counts as a reading when it just drags.
 */
enum Coin: string
{
    case Nickel = 'nickel';
    case Quarter = 'quarter';
    case Dime = 'dime';
    case Cent = 'cent';
    case OneEuro = '1 euro';
    case TwoEuro = '2 euro';
    case FiftyEuroCent = '50 euro cent';
    case TwentyEuroCent = '20 euro cent';
    case TenEuroCent = '10 euro cent';

    /** @return float mm */
    public function thickness(): float
    {
        return match ($this) {
            self::Nickel => 1.95,
            self::Quarter => 1.75,
            self::Dime => 1.35,
            self::Cent => 1.52,
            self::OneEuro => 2.33,
            self::TwoEuro => 2.20,
            self::FiftyEuroCent => 2.38,
            self::TwentyEuroCent => 2.14,
            self::TenEuroCent => 1.93,
        };
    }

    public static function tryFromText(string $text): ?self
    {
        return self::tryFrom(mb_strtolower(trim($text)));
    }
}
