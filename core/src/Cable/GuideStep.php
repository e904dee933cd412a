<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** One step of a guided sequence, with the caution that belongs to it and what is to be counted, where something is. */
final readonly class GuideStep
{
    public function __construct(public string $key, public string $label, public ?string $caution = null, public ?string $asks = null) {}
}
