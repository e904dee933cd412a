<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\MeasureKey;

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
        /** Whether it is about a second cable. */
        public bool $isSecond = false,
        /** What is measured, where the item asks for that. */
        public ?MeasureKey $measure = null,
        /** Whether what was answered may stay with a control that is left outside its band by choice. */
        public bool $mayStay = false,
    ) {}

    public function topic(): ItemTopic
    {
        return ItemKey::of($this->key)->topic;
    }

    /** The same, not done before it is so by another measure. */
    public function doneOnlyIf(bool $isDone): self
    {
        return new self($this->key, $this->kind, $this->label, $this->done && $isDone, $this->failed, $this->said, $this->detail, $this->caution,
            $this->answers, $this->about, $this->stamp, $this->isSecond, $this->measure, $this->mayStay);
    }

    /** The same, asked of the second cable, as that is called. */
    public function ofSecond(string $name): self
    {
        return new self("{$this->key}:second", $this->kind, "{$this->label}: {$name}", $this->done, $this->failed, $this->said, $this->detail, $this->caution,
            $this->answers, $this->about, $this->stamp, true, $this->measure, $this->mayStay);
    }
}
