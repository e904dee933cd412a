<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** How far the work goes: what is in reach with the covers on, or the hidden end as well. */
enum SettingMode: string
{
    case TouchUp = 'touch_up';
    case Service = 'service';

    public function label(): string
    {
        return match ($this) {
            self::TouchUp => 'touch-up, covers on',
            self::Service => 'service, hidden end first',
        };
    }
}
