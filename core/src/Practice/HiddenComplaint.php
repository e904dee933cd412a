<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Knowledge;

/** A complaint whose truth the search does not see. */
abstract readonly class HiddenComplaint
{
    /** @return list<string> what it is */
    abstract public function causes(): array;

    /** @return list<string> symptoms that it came in with */
    abstract public function symptoms(): array;

    /** What a look shows: one of its answers. */
    abstract public function shows(string $check): string;

    /**
     * Whether what it was brought in with is gone.
     *
     * @param  list<string>  $cured  what was put right
     */
    abstract public function isGone(array $cured): bool;

    /** What whoever brings it in says: each symptom it has, and half of those it has not. */
    public function told(Knowledge $knowledge, SeededChance $chance): Evidence
    {
        $evidence = Evidence::none();
        foreach ($knowledge->symptoms as $symptom) {
            $isThere = in_array($symptom->value, $this->symptoms(), true);
            $evidence = $isThere || $chance->between(0.0, 1.0) < 0.5
                ? $evidence->answered($symptom->value, $isThere ? Evidence::YES : Evidence::NO)
                : $evidence;
        }

        return $evidence;
    }

    /** Minutes that nobody is spared: the looks for safety, and putting right what it is. */
    public function least(Knowledge $knowledge): float
    {
        $of = static fn (string ...$causes): float => array_sum(array_map(
            static fn (string $one): float => $knowledge->causes[$one]->minutes,
            $causes,
        ));
        $alone = array_map($of, array_filter($this->causes(), fn (string $one): bool => $this->isGone([$one])));

        return min([$of(...$this->causes()), ...$alone])
            + array_sum(array_map(
                static fn (Check $one): float => $one->effort->isSafety ? $one->minutes : 0.0,
                $knowledge->checks,
            ));
    }
}
