<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Somebody's own words as the patterns read them: small letters, one space, and *does not* for *doesn't*. */
final readonly class PlainWords
{
    /** What people run together with *not*, with and without the apostrophe; of some, the first part is cut short. */
    private const RUN_TOGETHER = '/\b(do|does|did|is|are|was|were|has|have|had|could|would|should|need|must|wo|ca|ai)(?:n[\'’´`]t|nt)\b/u';

    private const WHOLE = ['wo' => 'will', 'ca' => 'can', 'ai' => 'is'];

    private function __construct() {}

    public static function of(string $words): string
    {
        $one = (string) preg_replace('/\s+/u', ' ', mb_strtolower(trim($words)));

        return str_replace('cannot', 'can not', (string) preg_replace_callback(
            self::RUN_TOGETHER,
            static fn (array $found): string => (self::WHOLE[$found[1]] ?? $found[1]).' not',
            $one,
        ));
    }
}
