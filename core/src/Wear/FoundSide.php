<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/** On which side of its band a control was found, if surely outside. */
enum FoundSide: string
{
    case Inside = 'inside';
    case Loose = 'loose';
    case Tight = 'tight';
}
