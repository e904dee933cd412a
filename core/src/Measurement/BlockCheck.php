<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Errors\Refused;
use VividPull\Core\Statistics\SampleDeviation;

/**
 * An instrument held against pieces whose size is known: how far off it shows (its bias), and how well it repeats on
 * them. What a certificate would say of it is the worst bias, which nobody takes off a reading, and twice the standard
 * uncertainty of that bias: JCGM 100:2008, F.2.4.5 (from memory).
 */
final readonly class BlockCheck
{
    /** The coverage factor of what is said. */
    public const FACTOR = 2.0;

    private const FEWEST_READINGS = 3;

    /** @param  list<array{size: float, mean: float, bias: float, deviation: float}>  $blocks  mm, or N */
    private function __construct(
        public array $blocks,
        /** The bias that is farthest from nothing. */
        public float $worst,
        /** Standard deviation of one reading on a block, over all of them. */
        public float $repeat,
        public int $repeatFreedom,
        /** What a certificate would give, with the factor 2. */
        public float $expanded,
    ) {}

    /**
     * @param  list<array{size: float, readings: list<float>}>  $blocks
     * @param  float  $known  expanded uncertainty of the blocks, k = 2
     * @param  float  $step  what the instrument shows
     *
     * @throws Refused If no block is named, or one was read fewer than three times.
     */
    public static function of(array $blocks, float $known, float $step): self
    {
        $found = [];
        [$squares, $freedom, $fewest] = [0.0, 0, INF];
        foreach ($blocks as ['size' => $size, 'readings' => $readings]) {
            if (count($readings) < self::FEWEST_READINGS) {
                throw Refused::because('Read each block at least three times, laid on anew each time.');
            }
            $mean = array_sum($readings) / count($readings);
            $deviation = SampleDeviation::of($readings);
            $found[] = ['size' => $size, 'mean' => $mean, 'bias' => $mean - $size, 'deviation' => $deviation];
            $squares += $deviation ** 2 * (count($readings) - 1);
            $freedom += count($readings) - 1;
            $fewest = min($fewest, count($readings));
        }
        if ($found === []) {
            throw Refused::because('No block is named. Say its size, and what was read on it.');
        }
        $biases = array_column($found, 'bias');
        usort($biases, static fn (float $one, float $other): int => abs($other) <=> abs($one));
        $repeat = sqrt($squares / $freedom);
        $standard = sqrt(($known / self::FACTOR) ** 2 + $repeat ** 2 / $fewest + ($step / sqrt(12)) ** 2);

        return new self($found, $biases[0], $repeat, $freedom, abs($biases[0]) + self::FACTOR * $standard);
    }
}
