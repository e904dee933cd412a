<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** In which order looks are made and causes put right. */
enum WayOfWorking: string
{
    /** As the bench proposes. */
    case Ours = 'the bench';
    /** Whatever takes the fewest minutes, until one cause is nearly certain. */
    case CheapestFirst = 'cheapest first';
    /** The likeliest cause is looked for and put right, then the next. */
    case LikeliestFirst = 'likeliest first';
}
