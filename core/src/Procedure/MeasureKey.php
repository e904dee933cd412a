<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Figure;

/** What is measured beside the play, and what is true of every such measure. */
enum MeasureKey: string
{
    case BladeStop = 'blade_stop';
    case GroundSpeed = 'ground_speed';
    case Tyre = 'tyre';
    case FullDrive = 'full_drive';
    case ShortOfOpen = 'short_of_open';
    case LeverPull = 'lever_pull';
    case LeverRelease = 'lever_release';
    case FrictionPlate = 'friction_plate';
    case SteelPlate = 'steel_plate';
    case ClutchSpring = 'clutch_spring';

    public function label(): string
    {
        return match ($this) {
            self::BladeStop => 'Blade stop time',
            self::GroundSpeed => 'Ground speed at full pedal',
            self::Tyre => 'Tyre diameter',
            self::FullDrive => 'Handle travel to full drive',
            self::ShortOfOpen => 'Still to go to wide open',
            self::LeverPull => 'Pull at the lever',
            self::LeverRelease => 'Force as it is let back',
            self::FrictionPlate => 'Friction plate',
            self::SteelPlate => 'Warp of the steel plate',
            self::ClutchSpring => 'Free length of the spring',
        };
    }

    public function howTo(): string
    {
        return match ($this) {
            self::BladeStop => 'Full speed on a hard floor, blade clear. Start the watch as the bail is let go; stop it when the blade is heard to stand. Listen; never look under the deck.',
            self::GroundSpeed => 'On the level, loaded as it is used, full pedal. Read the speed, or time a measured length.',
            self::Tyre => 'Across the tread of a driven tyre at its pressure, from floor to top.',
            self::FullDrive => 'Rule beside the handle. Draw it slowly and read its travel where the drive no longer slips.',
            self::ShortOfOpen => 'Control held fully pulled. Move the barrel, or the butterfly at its wire, on by hand to its stop: how far does it still go?',
            self::LeverPull => 'Pull gauge square to the lever at its ball, slowly through the middle of its travel. Read while pulling.',
            self::LeverRelease => 'At the same place and travel, letting it back slowly. Read while it goes back.',
            self::FrictionPlate => 'Caliper or micrometer on the lining, several places round the plate.',
            self::SteelPlate => 'On a surface plate: the thickest feeler that enters under it.',
            self::ClutchSpring => 'Standing free, caliper over its ends.',
        };
    }

    public function dimension(): Dimension
    {
        return match ($this) {
            self::BladeStop => Dimension::Time,
            self::GroundSpeed => Dimension::Speed,
            self::Tyre, self::FullDrive, self::ShortOfOpen, self::FrictionPlate, self::SteelPlate,
            self::ClutchSpring => Dimension::Length,
            self::LeverPull, self::LeverRelease => Dimension::Force,
        };
    }

    /** @param  float  $value  in the internal unit */
    public function figure(float $value): Figure
    {
        return Figure::measured($value, $this->decimals(), $this->dimension()->internalUnit());
    }

    /** The most that is believed of one reading, in the internal unit. */
    public function most(): float
    {
        return match ($this) {
            self::BladeStop => 120.0,
            self::GroundSpeed => 120.0,
            self::Tyre => 2000.0,
            self::FullDrive => 600.0,
            self::ShortOfOpen => 60.0,
            self::LeverPull, self::LeverRelease => 1000.0,
            self::FrictionPlate, self::SteelPlate => 20.0,
            self::ClutchSpring => 200.0,
        };
    }

    /**
     * Standard deviation of one reading by hand where nothing else is on file; of a stopwatch it is mostly the hand's
     * reaction. Ours.
     */
    public function usualDeviation(): float
    {
        return match ($this) {
            self::BladeStop => 0.15,
            self::GroundSpeed => 0.4,
            self::Tyre => 3.0,
            self::FullDrive => 1.5,
            self::ShortOfOpen => 0.3,
            self::LeverPull, self::LeverRelease => 1.5,
            self::FrictionPlate => 0.02,
            self::SteelPlate => 0.03,
            self::ClutchSpring => 0.1,
        };
    }

    /** What all readings of it share, whoever repeats them: a hand's habit of starting late, a scale's zero. Ours. */
    public function sharedDeviation(): float
    {
        return match ($this) {
            self::BladeStop => 0.1,
            self::GroundSpeed => 0.3,
            self::Tyre => 1.0,
            self::FullDrive => 0.5,
            self::ShortOfOpen => 0.2,
            self::LeverPull, self::LeverRelease => 0.5,
            self::FrictionPlate => 0.01,
            self::SteelPlate => 0.01,
            self::ClutchSpring => 0.05,
        };
    }

    /** Whether there are many of what it is of, so that each is numbered. */
    public function isOneOfMany(): bool
    {
        return match ($this) {
            self::FrictionPlate, self::SteelPlate, self::ClutchSpring => true,
            self::BladeStop, self::GroundSpeed, self::Tyre, self::FullDrive, self::ShortOfOpen, self::LeverPull,
            self::LeverRelease => false,
        };
    }

    public function decimals(): int
    {
        return match ($this) {
            self::BladeStop, self::FrictionPlate, self::SteelPlate => 2,
            self::GroundSpeed, self::FullDrive, self::ShortOfOpen, self::LeverPull, self::LeverRelease,
            self::ClutchSpring => 1,
            self::Tyre => 0,
        };
    }
}
