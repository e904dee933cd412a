<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

/**
 * Which covers two controls of one machine both want off: those of one name, but for the boots, of which every adjuster
 * has its own.
 */
final readonly class SharedCovers
{
    private const OWN = ['boot', 'boots', 'sleeve'];

    private function __construct() {}

    /**
     * @param  array<string, float>  $one  minutes to take each cover off, by its name
     * @param  array<string, float>  $other
     * @return array<string, float> of the first
     */
    public static function of(array $one, array $other): array
    {
        return array_diff_key(array_intersect_key($one, $other), array_flip(self::OWN));
    }
}
