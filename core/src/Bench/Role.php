<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

/** What a person may do in a shop. */
enum Role: string
{
    case Lead = 'lead';
    case Technician = 'technician';
    case Apprentice = 'apprentice';
    case Viewer = 'viewer';

    public function mayLog(): bool
    {
        return match ($this) {
            self::Lead, self::Technician, self::Apprentice => true,
            self::Viewer => false,
        };
    }

    public function maySignOff(): bool
    {
        return match ($this) {
            self::Lead, self::Technician => true,
            self::Apprentice, self::Viewer => false,
        };
    }

    public function mayLiftTag(): bool
    {
        return match ($this) {
            self::Lead => true,
            self::Technician, self::Apprentice, self::Viewer => false,
        };
    }
}
