<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;

/** An adjuster that moves the arm of an outcome table, and what is known of how. */
final readonly class Mover
{
    private function __construct(
        public string $adjuster,
        /**
         * How far the arm goes for one step of the adjuster as it counts, in the table's unit; null where nobody
         * measured it.
         */
        public ?float $perStep,
        /**
         * Which way it goes with an outward step: 1 to the table's plus, −1 to its minus, null until a trial shows it.
         */
        public ?int $sign,
        /** The share by which a move may fall short or go too far; 1 where nobody knows how much it moves. */
        public float $error,
    ) {}

    /** @throws OutOfRange If a step moves the arm by nothing. */
    public static function of(string $adjuster, ?float $perStep, ?int $sign, float $error): self
    {
        if ($perStep !== null && ! ($perStep > 0.0)) {
            throw OutOfRange::positive('What one step moves the arm', $perStep);
        }

        return new self($adjuster, $perStep, $sign, $error);
    }

    public function turnedOut(int $sign): self
    {
        return new self($this->adjuster, $this->perStep, $sign, $this->error);
    }
}
