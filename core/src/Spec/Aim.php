<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** What a job works towards. Closed list; each kind says how it is judged where the judging stands. */
interface Aim
{
    public function say(): string;
}
