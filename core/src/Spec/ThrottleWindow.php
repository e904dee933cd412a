<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;

/**
 * The slack at which a throttle both closes and opens fully, in mm at the wire.
 *
 * With a wire stroke S at full hand travel and a drum arc A that it needs, slack s closes it from the margin on and
 * opens it up to S − A; below S − A − o the wire is overloaded at its end. With a governor between, a second cable
 * follows at its arm's ratio ρ, and the first slack s₁ may be at most S − (A + s₂) / ρ.
 */
final readonly class ThrottleWindow implements Aim
{
    private function __construct(
        public float $strokeMm,
        public float $arcMm,
        public float $marginMm,
        /**
         * Over-travel that the stop and the wire can bear; null where the stop is the control's own, and over-travel
         * does not count.
         */
        public ?float $overTravelMm,
        /** Travel of the governor's second cable for one of the first; null where there is no governor. */
        public ?float $armRatio,
    ) {}

    /** @throws OutOfRange If stroke, arc or arm ratio is not above zero. */
    public static function of(
        float $strokeMm,
        float $arcMm,
        float $marginMm,
        ?float $overTravelMm,
        ?float $armRatio = null,
    ): self {
        foreach ([
            'The wire\'s stroke, in mm,' => $strokeMm,
            'The arc at the carburettor, in mm,' => $arcMm,
            'The governor arm\'s ratio' => $armRatio ?? 1.0,
        ] as $what => $value) {
            if (! ($value > 0.0)) {
                throw OutOfRange::positive($what, $value);
            }
        }

        return new self($strokeMm, $arcMm, $marginMm, $overTravelMm, $armRatio);
    }

    /** The most slack with which it still opens fully. */
    public function most(float $secondSlackMm = 0.0): float
    {
        return $this->strokeMm - ($this->arcMm + $secondSlackMm) / ($this->armRatio ?? 1.0);
    }

    /** The least slack with which it closes fully and the wire is not overloaded. */
    public function least(float $secondSlackMm = 0.0): float
    {
        return $this->overTravelMm === null
            ? $this->marginMm
            : max($this->marginMm, $this->most($secondSlackMm) - $this->overTravelMm);
    }

    /** Whether no slack does both: a wrong cable, a bent bracket or a wrong drum. */
    public function isEmpty(float $secondSlackMm = 0.0): bool
    {
        return $this->most($secondSlackMm) < $this->least($secondSlackMm);
    }

    public function say(): string
    {
        return 'fully closed and fully open';
    }
}
