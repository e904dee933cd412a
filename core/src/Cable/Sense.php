<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** Which way slack goes when the adjuster is turned out. */
enum Sense: string
{
    case OutTakesSlack = 'out_takes_slack';
    case OutGivesSlack = 'out_gives_slack';

    public function sign(): int
    {
        return match ($this) {
            self::OutTakesSlack => 1,
            self::OutGivesSlack => -1,
        };
    }
}
