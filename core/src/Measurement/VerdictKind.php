<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

enum VerdictKind: string
{
    case Inside = 'inside';
    case TooLoose = 'too_loose';
    case TooTight = 'too_tight';
    case Taut = 'taut';
    case CantTell = 'cant_tell';
    case NotJudged = 'not_judged';
    case Unread = 'unread';

    public function isOutside(): bool
    {
        return match ($this) {
            self::TooLoose, self::TooTight, self::Taut => true,
            self::Inside, self::CantTell, self::NotJudged, self::Unread => false,
        };
    }
}
