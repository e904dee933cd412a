<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

enum Wheels: string
{
    case OnGround = 'on_ground';
    case OnStand = 'on_stand';

    public function label(): string
    {
        return match ($this) {
            self::OnGround => 'on its wheels',
            self::OnStand => 'on a stand',
        };
    }
}
