<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

enum EngineHeat: string
{
    case Cold = 'cold';
    case Hot = 'hot';
}
