<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Something to do and confirm, with the caution that belongs to it. */
final readonly class Step
{
    public function __construct(public string $key, public string $label, public ?string $caution = null) {}
}
