<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Which way a failed proof says that the setting errs. */
enum Bearing: string
{
    /** The cable is too tight: it wants more slack. */
    case MoreSlack = 'more_slack';

    /** A cable that is taut does that, and it wants more slack; one that has play does not. */
    case Taut = 'taut';

    /** The cable is too loose: it wants less slack. */
    case LessSlack = 'less_slack';

    /** No matter of slack: a spring, a route, a part. */
    case Elsewhere = 'elsewhere';

    public function says(): string
    {
        return match ($this) {
            self::MoreSlack, self::Taut => 'it wants more slack',
            self::LessSlack => 'it wants less slack',
            self::Elsewhere => 'that is no matter of slack',
        };
    }
}
