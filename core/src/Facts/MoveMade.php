<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Quantity\Steps;

/** A move as replayed: where the adjuster stood after it, or null where that is not known. */
final readonly class MoveMade
{
    public function __construct(
        public Moved $entry,
        public ?Steps $stoodAt,
        public bool $beyondThread,
        public bool $crossed,
    ) {}
}
