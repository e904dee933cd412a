<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

enum TableAdviceKind: string
{
    /** Settings are to be tried first. */
    case Try = 'try';
    case Move = 'move';
    /** A move was made, and nobody said yet which way the arm went. */
    case WhichWay = 'which_way';
    case Right = 'right';
    /** What was seen fits no offset at all: something is bent, worn or wrong. */
    case Contradiction = 'contradiction';
    /** No single cable can cure it within its travel. */
    case OutOfReach = 'out_of_reach';
}
