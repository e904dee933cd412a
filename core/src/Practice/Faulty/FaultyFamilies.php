<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

use VividPull\Core\Spec\FamilyKey;

/** Which mechanics a family has. */
final readonly class FaultyFamilies
{
    private function __construct() {}

    public static function of(FamilyKey $family): FaultyFamily
    {
        return match ($family) {
            FamilyKey::ClutchLever => new FaultyClutchLever,
            FamilyKey::AutomaticClutch => new FaultyAutomaticClutch,
            FamilyKey::HydraulicClutch => new FaultyHydraulicClutch,
            FamilyKey::TwistGrip => new FaultyTwistGrip,
            FamilyKey::TriggerThrottle => new FaultyTriggerThrottle,
            FamilyKey::PedalThrottle => new FaultyPedalThrottle,
            FamilyKey::SlidingDrive => new FaultySlidingDrive,
            FamilyKey::EngageByPull => new FaultyEngageByPull,
            FamilyKey::ReleaseByPull => new FaultyReleaseByPull,
            FamilyKey::Bail => new FaultyBail,
            FamilyKey::SpeedSelector => new FaultySpeedSelector,
            FamilyKey::ModeCables => new FaultyModeCables,
            FamilyKey::HookControl => new FaultyHookControl,
            FamilyKey::BrakePull => new FaultyBrakePull,
            FamilyKey::OtherControl => new FaultyOtherControl,
        };
    }
}
