<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Unit;

/** What the person had before their eyes when they typed a line: a bare `+3f` means the adjuster that was shown. */
final readonly class Shown
{
    public function __construct(
        public ?string $adjuster,
        /** The move shown for that adjuster, in turns or its own steps, out positive. */
        public ?float $steps,
        public ?Pose $pose,
        public ?ReadingPoint $point,
        public ?string $instrument,
        /** Key of the item the screen asked for. */
        public ?string $item,
        public Unit $unit = Unit::Millimetre,
        /**
         * What was picked to be measured beside that, such as one plate of a pack; a bare value is then its, never
         * play.
         */
        public ?MeasureKey $measure = null,
        public ?string $of = null,
        /** Whether a gauge sent the line: then it is a figure that was asked for, or nothing. */
        public bool $fromGauge = false,
    ) {}
}
