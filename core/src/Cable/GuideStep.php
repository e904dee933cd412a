<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** One step of a guided sequence, with the caution that belongs to it. */
final readonly class GuideStep
{
    public function __construct(public string $key, public string $label, public ?string $caution = null) {}
}
