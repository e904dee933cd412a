<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use VividPull\Core\Errors\Questioned;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Spec\MeterUnit;

/**
 * A machine's meter: what its face says, and what meters before it had counted. Its use goes on when a meter is
 * replaced.
 */
final readonly class Meter
{
    /** A face that jumps further than this at once is asked about (ours). */
    private const FAR = ['km' => 20_000, 'mi' => 12_000, 'h' => 1_000, 'uses' => 1_000];

    public function __construct(public MeterUnit $unit, public float $face, public float $before = 0.0) {}

    /** Use in all. */
    public function usage(): float
    {
        return $this->before + $this->face;
    }

    /**
     * The same meter, read again.
     *
     * @throws Refused If it went backward.
     * @throws Questioned If it went further than is likely and nobody said that it is so.
     */
    public function read(float $face, bool $sure = false): self
    {
        if ($face < $this->face) {
            throw Refused::because(
                "The meter said {$this->unit->say($this->face)} before; {$this->unit->say($face)} is less. If it is mistyped, put it right; if the meter was replaced, say so.",
            );
        }
        if (! $sure && $face - $this->face > self::FAR[$this->unit->value]) {
            throw Questioned::because(
                "That is {$this->unit->say($face - $this->face)} more than the last time. Look again; if it is right, say that you are sure.",
            );
        }

        return new self($this->unit, $face, $this->before);
    }

    /**
     * Another meter in its place: what the old one had counted stays.
     *
     * @param  float  $last  what the old one said at the end
     * @param  float  $first  what the new one says
     *
     * @throws Refused If the old one would have gone backward.
     */
    public function replaced(float $last, float $first): self
    {
        $old = $this->read($last, sure: true);

        return new self($this->unit, $first, $old->usage() - $first);
    }
}
