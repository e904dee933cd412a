<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * A thread that loses so much of a turn whenever the turning is reversed, in mm of conduit: how much of that is still
 * to be lost. With nothing to lose it moves as it is turned.
 */
final readonly class LostMotion
{
    private function __construct(public float $lost, private float $left, private float $way) {}

    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    /** As it is found: the first turn goes on the way of the one before it, or it reverses that and loses. */
    public static function of(float $lost, bool $firstReverses): self
    {
        return new self($lost, $firstReverses ? $lost : 0.0, 0.0);
    }

    public function turned(float $slack): self
    {
        if ($slack === 0.0 || $this->lost === 0.0) {
            return $this;
        }
        $way = (float) ($slack <=> 0.0);

        return new self($this->lost, max(0.0, $this->toLose($way) - abs($slack)), $way);
    }

    /**
     * The slack that truly comes of a turn, in mm of conduit.
     *
     * @param  float|null  $way  from which side it is finished, where it may go past and back; null for the way of the
     *     turn itself
     */
    public function gives(float $slack, ?float $way): float
    {
        if ($this->lost === 0.0) {
            return $slack;
        }
        $turns = (float) ($slack <=> 0.0);

        return $way === null || $turns === $way
            ? $turns * max(0.0, abs($slack) - $this->toLose($turns))
            : $slack - $way * $this->toLose($way);
    }

    private function toLose(float $way): float
    {
        return $this->way === 0.0 || $way === $this->way ? $this->left : $this->lost - $this->left;
    }
}
