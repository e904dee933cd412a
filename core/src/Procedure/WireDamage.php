<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * What people write of a wire that may part: frayed, with strands broken, or with its end worn or opened. It is a fault
 * on every control, and no wear to be noted. Common practice, no source.
 */
final readonly class WireDamage
{
    /** Nor is what is said of the spiral of the conduit said of the wire in it. */
    private const NO = '(?<!no )(?<!not )(?<!without )(?<!nothing )(?<!un)(?<!no broken )(?<!without broken )(?<!conduit )(?<!spiral )(?<!conduit\'s )';

    /** A grip and a trigger that snap back do what they should. */
    private const BACK = '(?! ?(?:back|shut|closed?|home|in|into|on|open|over|fully|several|twice|again|a few|by itself|\d|three|five|ten|times))';

    /** Where the wire ends: a bend worn thin or opened lets go as a wire that parts does. */
    private const END = '(?:z[- ]?bend|nipple|barrel end|ball end|end fitting)[^.]*(?:worn|thin|open|broke|crack|loose|pulled|coming off|came off)';

    /** How it is heard and felt. */
    private const PARTED = 'twang|suddenly (?:went |goes |is )?(?:slack|limp)|(?:lever|cable|wire|grip|trigger|pedal|handle|bail|clutch|throttle|it)\b[^.]*suddenly[^.]*(?:slack|loose|limp)|(?:went|gone|go(?:es)?) (?:slack|loose|limp)[^.]*(?:suddenly|all at once|of a sudden|with a (?:bang|ping|snap|crack))';

    private const SAID = self::END.'|'.self::PARTED.'|fray|strands?\b|birdcag|snapped'.self::BACK.'|(?:cable|wire|bowden)[^.]*(?:broke|torn|part(?:ed|ing)|by a thread)';

    /** What is said of it where somebody's own words tell of it. */
    public const SAID_SO = 'Wire frayed or broken';

    private function __construct() {}

    public static function isSaid(string $words): bool
    {
        return preg_match('/\b'.self::NO.'(?:'.self::SAID.')/u', PlainWords::of($words)) === 1;
    }
}
