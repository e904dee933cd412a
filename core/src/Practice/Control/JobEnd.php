<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

/** How a job that was worked came to its end. */
enum JobEnd: string
{
    /** It can be signed as fit for use. */
    case Fit = 'fit';

    /** It can only be tagged. */
    case Tagged = 'tagged';

    /** Nothing that can be turned reaches the band: a part is wanted. */
    case Spent = 'spent';

    /** It was turned to and fro, and the bench says what it suspects, and which measurement would tell. */
    case Suspected = 'suspected';

    /** The bench led nowhere. */
    case Lost = 'lost';
}
