<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\SettingMode;

/** Touch-up or service, and where service parks: as the person chose, else as the machine stands. */
final readonly class ChosenMode
{
    /** Service when the hidden end is open anyway, or when the adjuster in reach stands outside its healthy zone. */
    public static function of(Run $run, Facts $facts): SettingMode
    {
        return $facts->chosen->mode
            ?? (self::hiddenEndIsOpen($run, $facts) || self::isUnhealthyInReach($run, $facts)
                ? SettingMode::Service
                : SettingMode::TouchUp);
    }

    public static function parking(Facts $facts): Parking
    {
        return $facts->chosen->parking ?? Parking::Threads;
    }

    public static function isUnhealthyInReach(Run $run, Facts $facts): bool
    {
        $near = $run->inReach();
        $at = $near === null ? null : $facts->adjusters->at($near);

        return $near !== null && $at !== null && count($run->playAdjusters()) > 1 && ! $near->healthy()->contains($at);
    }

    private static function hiddenEndIsOpen(Run $run, Facts $facts): bool
    {
        $near = $run->inReach()?->id();

        return array_diff(
            array_keys(array_intersect_key($run->playAdjusters(), $facts->adjusters->coversOff)),
            [$near],
        ) !== [];
    }
}
