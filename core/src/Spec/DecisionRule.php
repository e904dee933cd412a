<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** How a reading with its uncertainty becomes a verdict. */
enum DecisionRule: string
{
    /** Inside only with 95 % confidence, outside only with 95 % confidence, else can't tell (ISO 14253-1, JCGM 106). */
    case Guarded = 'guarded';
    /** The mean decides, whatever its uncertainty. */
    case Plain = 'plain';

    public const CONFIDENCE = 0.95;
}
