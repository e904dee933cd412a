<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/**
 * An entry that nobody wrote yet: what a typed line means, or what a button writes. Its body is made by the class of
 * the entry, beside the one that reads it, and is kept as it is.
 */
final readonly class Draft
{
    /** @param  array<string, mixed>  $body */
    public function __construct(public EntryKind $kind, public array $body) {}

    /** With what was said beside it; as it was where nothing was. */
    public function withRemark(string $remark): self
    {
        return $remark === '' ? $this : new self($this->kind, $this->body + ['remark' => $remark]);
    }
}
