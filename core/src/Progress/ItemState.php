<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Log\Stamp;

/** How an item stands: whether it is done, and what was said of it by whom. */
final readonly class ItemState
{
    public function __construct(
        public bool $done,
        public bool $failed = false,
        public ?string $said = null,
        public ?Stamp $stamp = null,
        /** Whether what was answered may stay with a control that is left outside its band by choice. */
        public bool $mayStay = false,
    ) {}

    /** Nobody has answered it. */
    public static function open(): self
    {
        return new self(false);
    }
}
