<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Steps;

/** One thing done to a machine to learn on. */
final readonly class Act
{
    private function __construct(
        public ActKind $kind,
        /**
         * Key of the adjuster, end, proof, measure, part, setting or cure it is about; empty where it is about none.
         */
        public string $about = '',
        public ?Steps $steps = null,
        public ?Pose $pose = null,
        public ?ReadingPoint $point = null,
        /** Share of the way into its seat at which the hand lets go of an end, 0 to 1. */
        public ?float $in = null,
    ) {}

    public static function hold(ReadingPoint $point, Pose $pose): self
    {
        return new self(ActKind::Hold, pose: $pose, point: $point);
    }

    public static function snap(): self
    {
        return new self(ActKind::Snap);
    }

    /** @param  string  $adjuster  whose cover it is */
    public static function open(string $adjuster): self
    {
        return new self(ActKind::Open, $adjuster);
    }

    public static function shut(string $adjuster): self
    {
        return new self(ActKind::Shut, $adjuster);
    }

    public static function feel(): self
    {
        return new self(ActKind::Feel);
    }

    public static function cool(): self
    {
        return new self(ActKind::Cool);
    }

    public static function warm(): self
    {
        return new self(ActKind::Warm);
    }

    public static function measure(MeasureKey $what): self
    {
        return new self(ActKind::Measure, $what->value);
    }

    public static function turn(string $adjuster, Steps $steps): self
    {
        return new self(ActKind::Turn, $adjuster, $steps);
    }

    public static function try(string $proof, ?Pose $pose): self
    {
        return new self(ActKind::Try, $proof, pose: $pose);
    }

    public static function light(): self
    {
        return new self(ActKind::Light);
    }

    public static function look(string $part): self
    {
        return new self(ActKind::Look, $part);
    }

    public static function run(string $setting): self
    {
        return new self(ActKind::Run, $setting);
    }

    public static function roll(): self
    {
        return new self(ActKind::Roll);
    }

    /** @param  float  $in  share of the way into its seat at which the hand lets go, 0 to 1 */
    public static function hook(string $end, float $in): self
    {
        return new self(ActKind::Hook, $end, in: $in);
    }

    public static function cure(Cure $cure): self
    {
        return new self(ActKind::Cure, $cure->value);
    }

    /** @param  Steps  $steps  outward is above zero */
    public static function guess(string $adjuster, Steps $steps): self
    {
        return new self(ActKind::Guess, $adjuster, $steps);
    }

    public static function ask(): self
    {
        return new self(ActKind::Ask);
    }

    public static function stop(): self
    {
        return new self(ActKind::Stop);
    }
}
