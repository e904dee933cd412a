<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

enum HandKind: string
{
    case Lever = 'lever';
    case Grip = 'grip';
    case Trigger = 'trigger';
    case Handle = 'handle';
    case Bail = 'bail';
    case Pedal = 'pedal';
    case Selector = 'selector';
}
