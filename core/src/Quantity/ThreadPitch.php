<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

use VividPull\Core\Errors\OutOfRange;

/**
 * How far one turn moves a thread, in mm.
 *
 * Metric coarse and fine pitches as ISO 261 and ISO 262 select them; unified threads carry their turns per inch in
 * the name (ASME B1.1), so their pitch is 25.4 mm divided by it.
 */
final readonly class ThreadPitch
{
    private const COARSE = ['3' => 0.5, '4' => 0.7, '5' => 0.8, '6' => 1.0, '8' => 1.25, '10' => 1.5, '12' => 1.75];

    private const FINE = [
        '4' => [0.5], '5' => [0.5], '6' => [0.75], '7' => [1.0, 0.75], '8' => [1.0, 0.75],
        '10' => [1.25, 1.0, 0.75], '12' => [1.5, 1.25, 1.0],
    ];

    private function __construct(public string $name, public float $mm, public ?float $diameterMm) {}

    /**
     * @throws OutOfRange If the name is neither metric nor unified, or names a pitch that the diameter does not have.
     */
    public static function fromName(string $name): self
    {
        $plain = trim($name);
        if (preg_match('/^M(\d+)(?:\s*[x×]\s*(\d+(?:\.\d+)?))?$/iu', $plain, $metric) === 1) {
            return self::metric($name, $metric[1], isset($metric[2]) ? (float) $metric[2] : null);
        }
        if (preg_match('/^(\d+)\/(\d+)\s*-\s*(\d+)(?:\s*UN[CF]?)?$/i', $plain, $unified) === 1) {
            [, $top, $below, $perInch] = array_map(intval(...), $unified);
            if ($below === 0 || $perInch === 0 || $perInch > 80) {
                throw OutOfRange::thread($name);
            }

            return new self($plain, 25.4 / $perInch, 25.4 * $top / $below);
        }

        throw OutOfRange::thread($name);
    }

    /** @throws OutOfRange If the pitch is not above zero. */
    public static function entered(float $mm): self
    {
        if (! ($mm > 0.0 && $mm <= 10.0)) {
            throw OutOfRange::positive('A thread pitch, in mm up to 10,', $mm);
        }

        return new self(Figure::number($mm, 4)->bare().' mm a turn', $mm, null);
    }

    private static function metric(string $name, string $diameter, ?float $pitch): self
    {
        $coarse = self::COARSE[$diameter] ?? null;
        $known = $coarse === null ? (self::FINE[$diameter] ?? []) : [$coarse, ...(self::FINE[$diameter] ?? [])];
        $chosen = $pitch ?? $coarse;
        if ($chosen === null || ! in_array($chosen, $known, true)) {
            throw OutOfRange::thread($name);
        }

        return new self("M{$diameter} × {$chosen}", $chosen, (float) $diameter);
    }
}
