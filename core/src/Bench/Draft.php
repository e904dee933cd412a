<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Log\EntryKind;

/** What a line means: the kind of entry and its body, everything resolved. */
final readonly class Draft
{
    /** @param  array<string, mixed>  $body */
    public function __construct(public EntryKind $kind, public array $body) {}
}
