<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** What a person may do in a shop. */
enum Role: string
{
    case Lead = 'lead';
    case Technician = 'technician';
    case Apprentice = 'apprentice';
    case Viewer = 'viewer';

    public function may(Permission $what): bool
    {
        return match ($what) {
            Permission::Look => true,
            Permission::Report, Permission::Log => $this !== self::Viewer,
            Permission::EnterSpecs, Permission::SignOff => $this === self::Lead || $this === self::Technician,
            Permission::LiftTag, Permission::KeepShop => $this === self::Lead,
        };
    }

    public function mayLog(): bool
    {
        return $this->may(Permission::Log);
    }

    public function maySignOff(): bool
    {
        return $this->may(Permission::SignOff);
    }

    /** Whoever still learns confirms line by line. */
    public function mayConfirmTogether(): bool
    {
        return $this->maySignOff();
    }

    public function mayLiftTag(): bool
    {
        return $this->may(Permission::LiftTag);
    }
}
