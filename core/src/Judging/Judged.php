<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Facts\ReadingGroup;

/** A group of readings with what it says about its band; no group where nothing was read. */
final readonly class Judged
{
    public function __construct(public ?ReadingGroup $group, public Verdict $verdict) {}
}
