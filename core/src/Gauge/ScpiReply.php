<?php

declare(strict_types=1);

namespace VividPull\Core\Gauge;

use VividPull\Core\Errors\Quoted;
use VividPull\Core\Quantity\NotUnderstood;

/**
 * What an instrument on the network answers to the common commands of IEEE 488.2 and to SCPI-1999: its name, a figure,
 * its errors. Source: IEEE Std 488.2-1992, 8.7 (decimal figures) and 10.14 (`*IDN?`); SCPI-1999, volume 1, 7.2.1.4 and
 * 7.2.1.5 (infinity, not a number) and volume 2, 21.8 (`SYSTem:ERRor?`). All from memory.
 */
final readonly class ScpiReply
{
    /** What stands for infinity, */
    private const INFINITE = 9.9e37;

    /** ... and this for what is no number. */
    private const NO_NUMBER = 9.91e37;

    /** @throws NotUnderstood If it is no reading. */
    public static function reading(string $reply, GaugeSettings $settings): GaugeReading
    {
        $first = trim(explode(',', trim($reply))[0]);
        if (is_numeric($first) && abs((float) $first) >= self::INFINITE) {
            throw NotUnderstood::line(abs((float) $first) >= self::NO_NUMBER
                ? 'The instrument has no figure to give. Set it up and read it again.'
                : 'The instrument is out of its range. Bring it within and read it again.');
        }

        return GaugeLine::read($reply, $settings);
    }

    /** The error at the head of its list, as a sentence; null where it has none. */
    public static function error(string $reply): ?string
    {
        if (preg_match('/^\s*(?<code>[+-]?\d{1,5})\s*,\s*"(?<words>[^"]*)"/', $reply, $part) !== 1) {
            return 'The instrument answered '.Quoted::text($reply).' when asked for its errors.';
        }

        return (int) $part['code'] === 0 ? null : "The instrument says: {$part['words']} ({$part['code']}).";
    }

    /**
     * What it calls itself, `?` where it does not say: maker, model, serial number, version. Null where that is no such
     * answer.
     */
    public static function name(string $reply): ?string
    {
        $fields = array_map(trim(...), explode(',', trim($reply)));

        return count($fields) === 4 && $fields[1] !== '' ? "{$fields[1]}, number {$fields[2]}" : null;
    }
}
