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
        /** Whether it is about the closing cable of a push-pull pair. */
        public bool $isClosing = false,
    ) {}

    /** The same, asked of the closing cable. */
    public function ofClosing(): self
    {
        return new self("{$this->key}:backward", $this->kind, "{$this->label}: closing cable", $this->done, $this->failed, $this->said, $this->detail, $this->caution,
            $this->answers, $this->about, $this->stamp, true);
    }
}
