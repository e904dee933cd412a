<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Spec\FamilyKey;

/** Where each family of controls is written down. */
final readonly class Families
{
    public static function of(FamilyKey $key): Family
    {
        return match ($key) {
            FamilyKey::ClutchLever => new ClutchLever,
            FamilyKey::AutomaticClutch => new AutomaticClutch,
            FamilyKey::HydraulicClutch => new HydraulicClutch,
            FamilyKey::TwistGrip => new TwistGrip,
            FamilyKey::TriggerThrottle => new TriggerThrottle,
            FamilyKey::PedalThrottle => new PedalThrottle,
            FamilyKey::SlidingDrive => new SlidingDrive,
            FamilyKey::EngageByPull => new EngageByPull,
            FamilyKey::ReleaseByPull => new ReleaseByPull,
            FamilyKey::Bail => new Bail,
            FamilyKey::SpeedSelector => new SpeedSelector,
            FamilyKey::ModeCables => new ModeCables,
            FamilyKey::HookControl => new HookControl,
            FamilyKey::BrakePull => new BrakePull,
            FamilyKey::OtherControl => new OtherControl,
        };
    }
}
