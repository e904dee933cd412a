<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** What an adjuster sets. Only play is planned; the rest is done in its own order, or not at all. */
enum AdjustedQuantity: string
{
    case Play = 'play';
    case Mechanism = 'mechanism';
    case Speed = 'speed';
    case Nothing = 'nothing';
}
