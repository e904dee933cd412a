<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

/** Which way a failed proof says that the setting errs. */
enum Bearing: string
{
    /** The cable is too tight: it wants more slack. */
    case MoreSlack = 'more_slack';

    /** The cable is too loose: it wants less slack. */
    case LessSlack = 'less_slack';

    /** No matter of slack: a spring, a route, a part. */
    case Elsewhere = 'elsewhere';

    public function wants(): string
    {
        return match ($this) {
            self::MoreSlack => 'more slack',
            self::LessSlack => 'less slack',
            self::Elsewhere => 'something else than slack',
        };
    }
}
