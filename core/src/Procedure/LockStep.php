<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Tightening a lock nut or ring: the same step in every family, and it voids the current reading. */
final readonly class LockStep
{
    public const KEY = 'locked';
}
