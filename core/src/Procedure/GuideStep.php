<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** One step of a guided sequence, with the caution that belongs to it and what is to be counted, where something is. */
final readonly class GuideStep
{
    public function __construct(
        public string $key,
        public string $label,
        public ?string $caution = null,
        public ?string $asks = null,
        /** Whether there are machines without what it is about: then it is passed as *not here*. */
        public bool $mayBePassed = false,
        /** Whether the cable is set before it: until then it keeps nothing waiting. */
        public bool $isAfterCable = false,
    ) {}

    /** A step for what not every machine has. */
    public static function ifFitted(string $key, string $label, ?string $caution = null): self
    {
        return new self($key, $label, $caution, null, true);
    }
}
