<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Procedure\MeasureKey;

/** What an item is about, where it is about one thing. */
final readonly class ItemSubject
{
    public function __construct(
        /** The adjuster or pose. */
        public ?string $about = null,
        /** Whether it is about a second cable. */
        public bool $isSecond = false,
        /** What is measured, where the item asks for that. */
        public ?MeasureKey $measure = null,
    ) {}
}
