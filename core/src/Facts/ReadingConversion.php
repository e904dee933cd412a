<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Spec\Spec;

/**
 * Readings taken at another point than the spec's, turned into what they would have been there.
 *
 * The factor is the ratio of two readings of one state at both points, where somebody took them; else that of the
 * geometry, R at the spec's point over R at the other. Its uncertainty is shared by all readings it converts, and
 * stands with the calibration.
 */
final readonly class ReadingConversion
{
    /** @param  list<ReadingGroup>  $groups */
    private function __construct(private Spec $spec, private Run $run, private array $groups) {}

    /**
     * @param  list<ReadingGroup>  $groups
     * @return list<ReadingGroup>
     */
    public static function all(Spec $spec, Run $run, array $groups): array
    {
        $converting = new self($spec, $run, $groups);

        return array_map($converting->one(...), $groups);
    }

    private function one(ReadingGroup $group): ReadingGroup
    {
        $point = $group->first()->point;
        $factor = $point === $this->spec->play()->point ? null : $this->paired($point) ?? $this->drawn($point);

        return $factor === null ? $group : $group->converted($factor[0], $factor[1]);
    }

    /**
     * @return array{float, float}|null the factor and its relative standard uncertainty, from the pair that knows it
     *     best
     */
    private function paired(ReadingPoint $point): ?array
    {
        $best = null;
        foreach ($this->groups as $here) {
            foreach ($this->groups as $there) {
                if (
                    $here->first()->point !== $this->spec->play()->point
                    || $there->first()->point !== $point
                    || ! $this->isOneState($here, $there)
                ) {
                    continue;
                }
                $relative = hypot(
                    $here->found->standard() / $here->found->mean,
                    $there->found->standard() / $there->found->mean,
                );
                if ($best === null || $relative < $best[1]) {
                    $best = [$here->found->mean / $there->found->mean, $relative];
                }
            }
        }

        return $best;
    }

    private function isOneState(ReadingGroup $here, ReadingGroup $there): bool
    {
        [$one, $other] = [$here->first(), $there->first()];

        return $here->at->setting === $there->at->setting
            && ! $here->isTaut()
            && ! $there->isTaut()
            && ! $here->at->crossed
            && ! $there->at->crossed
            && $one->pose === $other->pose && $one->engine === $other->engine && $one->wheels === $other->wheels;
    }

    /** @return array{float, float}|null */
    private function drawn(ReadingPoint $point): ?array
    {
        $here = $this->run->couplings->at($this->spec->play()->point);
        $there = $this->run->couplings->at($point);

        return $here === null || $there === null
            ? null
            : [$here->value / $there->value, hypot($here->knowledge->spread(), $there->knowledge->spread())];
    }
}
