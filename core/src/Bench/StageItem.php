<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

/** One thing a stage asks for: whether it is done, what was said, and how it can be answered. */
final readonly class StageItem
{
    /** @param  list<Answer>  $answers */
    public function __construct(
        public string $key,
        public ItemKind $kind,
        public string $label,
        public bool $done,
        public bool $failed = false,
        public ?string $said = null,
        public ?string $detail = null,
        public ?string $caution = null,
        public array $answers = [],
        /** The adjuster or pose it is about, where it is about one. */
        public ?string $about = null,
        public ?Stamp $stamp = null,
    ) {}
}
