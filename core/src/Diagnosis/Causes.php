<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use VividPull\Core\Diagnosis\Knowledge\AutomaticClutchCauses;
use VividPull\Core\Diagnosis\Knowledge\BailCauses;
use VividPull\Core\Diagnosis\Knowledge\BrakePullCauses;
use VividPull\Core\Diagnosis\Knowledge\ClutchLeverCauses;
use VividPull\Core\Diagnosis\Knowledge\EngageByPullCauses;
use VividPull\Core\Diagnosis\Knowledge\HookControlCauses;
use VividPull\Core\Diagnosis\Knowledge\HydraulicClutchCauses;
use VividPull\Core\Diagnosis\Knowledge\ModeCablesCauses;
use VividPull\Core\Diagnosis\Knowledge\OtherControlCauses;
use VividPull\Core\Diagnosis\Knowledge\PedalThrottleCauses;
use VividPull\Core\Diagnosis\Knowledge\ReleaseByPullCauses;
use VividPull\Core\Diagnosis\Knowledge\SlidingDriveCauses;
use VividPull\Core\Diagnosis\Knowledge\SpeedSelectorCauses;
use VividPull\Core\Diagnosis\Knowledge\TriggerThrottleCauses;
use VividPull\Core\Diagnosis\Knowledge\TwistGripCauses;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\FamilyKey;

/** The causes of each family, a file each. */
final readonly class Causes
{
    private function __construct() {}

    public static function of(FamilyKey $family): Knowledge
    {
        $known = self::known($family);

        return Families::of($family)->worksWhileHeld() ? $known->whileHeld() : $known;
    }

    private static function known(FamilyKey $family): Knowledge
    {
        return match ($family) {
            FamilyKey::ClutchLever => ClutchLeverCauses::knowledge(),
            FamilyKey::AutomaticClutch => AutomaticClutchCauses::knowledge(),
            FamilyKey::HydraulicClutch => HydraulicClutchCauses::knowledge(),
            FamilyKey::TwistGrip => TwistGripCauses::knowledge(),
            FamilyKey::TriggerThrottle => TriggerThrottleCauses::knowledge(),
            FamilyKey::PedalThrottle => PedalThrottleCauses::knowledge(),
            FamilyKey::SlidingDrive => SlidingDriveCauses::knowledge(),
            FamilyKey::EngageByPull => EngageByPullCauses::knowledge(),
            FamilyKey::ReleaseByPull => ReleaseByPullCauses::knowledge(),
            FamilyKey::Bail => BailCauses::knowledge(),
            FamilyKey::SpeedSelector => SpeedSelectorCauses::knowledge(),
            FamilyKey::ModeCables => ModeCablesCauses::knowledge(),
            FamilyKey::HookControl => HookControlCauses::knowledge(),
            FamilyKey::BrakePull => BrakePullCauses::knowledge(),
            FamilyKey::OtherControl => OtherControlCauses::knowledge(),
        };
    }
}
