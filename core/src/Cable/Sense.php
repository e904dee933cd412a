<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Steps;

/** Which way slack goes when the adjuster is turned out. */
enum Sense: string
{
    case OutTakesSlack = 'out_takes_slack';
    case OutGivesSlack = 'out_gives_slack';

    /** The end of its travel that gives the cable all its slack. */
    public function slackEnd(StepRange $travel): Steps
    {
        return $this === self::OutTakesSlack ? $travel->from : $travel->to;
    }

    public function sign(): int
    {
        return match ($this) {
            self::OutTakesSlack => 1,
            self::OutGivesSlack => -1,
        };
    }
}
