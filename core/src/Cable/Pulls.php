<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** Which way a cable of a push-pull pair pulls the working end. A cable by itself opens, or whatever it does. */
enum Pulls: string
{
    case Opening = 'opening';
    case Closing = 'closing';
}
