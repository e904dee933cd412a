<?php

declare(strict_types=1);

namespace VividPull\Core\Gauge;

use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\NotUnderstood;

/**
 * A pull that a force gauge recorded by itself: force over time, as it came line by line. It says nothing of the
 * travel; that is even only where the hand pulled steadily.
 */
final readonly class GaugeRecording
{
    /** Fewer lines in a row are a button that was held; ours. */
    public const FEWEST = 20;

    public const MOST = 6000;

    public const LONGEST_MS = 120_000;

    /** Of the lines, so many may be spoilt on the wire; of more, its settings are wrong. Ours. */
    private const SPOILT_SHARE = 0.02;

    /**
     * @param  non-empty-list<float>  $seconds  since its first line, rising
     * @param  non-empty-list<float>  $newtons
     * @param  int  $spoilt  lines that were no reading, and are not among them
     */
    private function __construct(
        public array $seconds,
        public array $newtons,
        public int $spoilt,
        public bool $lowBattery,
    ) {}

    /**
     * @param  list<array{int, string}>  $lines  each with its time in ms, by a clock that nobody sets
     *
     * @throws NotUnderstood If it is no recording of a force; the sentence says why.
     */
    public static function of(array $lines, GaugeSettings $settings): self
    {
        [$seconds, $newtons, $lowBattery, $spoilt, $last] = [[], [], false, 0, null];
        foreach ($lines as [$ms, $line]) {
            try {
                $read = GaugeLine::read($line, $settings->whileMoving());
            } catch (NotUnderstood $no) {
                $spoilt++;
                $last = $no;

                continue;
            }
            self::mustBeForce($read);
            // Two lines in one millisecond cannot be told apart in time.
            if ($seconds === [] || $ms / 1000 > $seconds[count($seconds) - 1]) {
                $seconds[] = $ms / 1000;
                $newtons[] = $read->value;
            }
            $lowBattery = $lowBattery || $read->lowBattery;
        }
        if ($last !== null && $spoilt > self::SPOILT_SHARE * count($lines)) {
            throw $last;
        }
        if ($seconds === [] || $newtons === [] || count($newtons) < self::FEWEST) {
            throw NotUnderstood::line(
                'It recorded '.count($newtons).' forces, and a pull is read from '.self::FEWEST
                    .' at least. Does it send often enough?',
            );
        }
        $began = $seconds[0];

        return new self(
            array_map(static fn (float $at): float => $at - $began, $seconds),
            $newtons,
            $spoilt,
            $lowBattery,
        );
    }

    /** @throws NotUnderstood If it is none. */
    private static function mustBeForce(GaugeReading $read): void
    {
        if ($read->dimension() !== Dimension::Force) {
            throw NotUnderstood::line(
                "It recorded {$read->entered}, which is no force. Check which instrument its line is set to.",
            );
        }
    }

    /** From its first line to its last, in s. */
    public function lasted(): float
    {
        return $this->seconds[count($this->seconds) - 1];
    }

    /** In N. */
    public function heaviest(): float
    {
        return max($this->newtons);
    }

    /** As a file of a steady pull: `time_s,force_n`. */
    public function csv(): string
    {
        $lines = ['time_s,force_n'];
        foreach ($this->seconds as $place => $at) {
            $lines[] = round($at, 3).','.round($this->newtons[$place], 6);
        }

        return implode("\n", $lines)."\n";
    }
}
