<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * Somebody's own words as the patterns read them: small letters, one space, *does not* for *doesn't*, *keeps* for
 * *kept*.
 */
final readonly class PlainWords
{
    /** What people run together with *not*, with and without the apostrophe; of some, the first part is cut short. */
    private const RUN_TOGETHER = '/\b(do|does|did|is|are|was|were|has|have|had|could|would|should|need|must|wo|ca|ai)(?:n[\'’´`]t|nt)\b/u';

    private const WHOLE = ['wo' => 'will', 'ca' => 'can', 'ai' => 'is'];

    /** What was, is read as what is. */
    private const WAS = ['kept' => 'keeps', 'ran' => 'runs', 'spun' => 'spins', 'stayed' => 'stays', 'jumped' => 'jumps'];

    /** As it is often written, by its right spelling. Somebody's *break*, or that of a hand or a wheel, is a brake. */
    private const MISSPELT = [
        '/\bleaver/u' => 'lever',
        '/\b(?:cluch|clucth|cluth|clutsh)/u' => 'clutch',
        '/\bthr?(?:otle|ottel|otel|rotle)/u' => 'throttle',
        '/\b(?:peddle?|pedel)(s?)\b/u' => 'pedal$1',
        '/\b(?:acc?elerater|acc?ell?arator|acell?erator)/u' => 'accelerator',
        '/\b(?:dosent|doesent|dosnt|dosn[\'’´`]t)\b/u' => 'does not',
        '/\b(the|my|his|her|our|no|hand|foot|front|rear|parking|park) (break)(s?)\b/u' => '$1 brake$3',
    ];

    private function __construct() {}

    public static function of(string $words): string
    {
        $one = (string) preg_replace(
            ['/\s+/u', ...array_keys(self::MISSPELT)],
            [' ', ...array_values(self::MISSPELT)],
            mb_strtolower(trim($words)),
        );

        $apart = str_replace('cannot', 'can not', (string) preg_replace_callback(
            self::RUN_TOGETHER,
            static fn (array $found): string => (self::WHOLE[$found[1]] ?? $found[1]).' not',
            $one,
        ));

        return (string) preg_replace_callback(
            '/\b(?:'.implode('|', array_keys(self::WAS)).')\b/u',
            static fn (array $found): string => self::WAS[$found[0]],
            $apart,
        );
    }
}
