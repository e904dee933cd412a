<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\MeasureKey;

/** One thing a stage asks for: whether it is done, what was said, and how it can be answered. */
final readonly class StageItem
{
    public bool $done;

    public bool $failed;

    public ?string $said;

    public ?Stamp $stamp;

    /** Whether what was answered may stay with a control that is left outside its band by choice. */
    public bool $mayStay;

    /** The adjuster or pose it is about, where it is about one. */
    public ?string $about;

    /** Whether it is about a second cable. */
    public bool $isSecond;

    /** What is measured, where the item asks for that. */
    public ?MeasureKey $measure;

    /** @param  list<Answer>  $answers */
    public function __construct(
        public string $key,
        public ItemKind $kind,
        public string $label,
        ItemState $state,
        public ?string $detail = null,
        public ?string $caution = null,
        public array $answers = [],
        ItemSubject $subject = new ItemSubject,
    ) {
        [$this->done, $this->failed, $this->said, $this->stamp, $this->mayStay] = [
            $state->done,
            $state->failed,
            $state->said,
            $state->stamp,
            $state->mayStay,
        ];
        [$this->about, $this->isSecond, $this->measure] = [$subject->about, $subject->isSecond, $subject->measure];
    }

    public function topic(): ItemTopic
    {
        return ItemKey::of($this->key)->topic;
    }

    /** The same, not done before it is so by another measure. */
    public function doneOnlyIf(bool $isDone): self
    {
        return $this->with($this->key, $this->label, $this->done && $isDone, $this->isSecond);
    }

    /** The same, asked of the second cable, as that is called. */
    public function ofSecond(string $name): self
    {
        return $this->with("{$this->key}:second", "{$this->label}: {$name}", $this->done, true);
    }

    /** The same, with one more thing to mind before its own caution. */
    public function minding(string $first): self
    {
        return $this->with($this->key, $this->label, $this->done, $this->isSecond, trim("{$first} {$this->caution}"));
    }

    private function with(string $key, string $label, bool $done, bool $isSecond, ?string $caution = null): self
    {
        return new self(
            $key,
            $this->kind,
            $label,
            new ItemState($done, $this->failed, $this->said, $this->stamp, $this->mayStay),
            $this->detail,
            $caution ?? $this->caution,
            $this->answers,
            new ItemSubject($this->about, $isSecond, $this->measure),
        );
    }
}
