<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Knowledge;

/** A complaint whose truth the search does not see. */
interface HiddenComplaint
{
    /** @return list<string> what it is */
    public function causes(): array;

    /** What a look shows: one of its answers. */
    public function shows(string $check): string;

    /** What whoever brings it in says. */
    public function told(Knowledge $knowledge, SeededChance $chance): Evidence;

    /** Minutes that nobody is spared: the looks for safety, and putting right what it is. */
    public function least(Knowledge $knowledge): float;

    /**
     * Whether what it was brought in with is gone.
     *
     * @param  list<string>  $cured  what was put right
     */
    public function isGone(array $cured): bool;
}
