<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

/** Neighbouring places of one adjuster that cost a plan alike; whole steps from where it stands, both ends included. */
final readonly class EqualCostRange
{
    public function __construct(
        public int $from,
        public int $to,
        public int $unhealthy,
        public int $withoutReserve,
        /** 720ths of a turn from where it is to be parked. */
        public int $unparked,
        public float $minutes,
        public int $touched,
    ) {}

    public function costsLike(self $other): bool
    {
        return $this->unhealthy === $other->unhealthy && $this->withoutReserve === $other->withoutReserve
            && $this->unparked === $other->unparked && $this->touched === $other->touched;
    }

    public function upTo(int $to): self
    {
        return new self(
            $this->from,
            $to,
            $this->unhealthy,
            $this->withoutReserve,
            $this->unparked,
            $this->minutes,
            $this->touched,
        );
    }
}
