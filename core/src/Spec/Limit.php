<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Procedure\MeasureKey;

/** An aim that one measured value is held against, in the internal unit of what is measured. */
interface Limit extends Aim
{
    public function measure(): MeasureKey;

    public function band(): SpecBand;
}
