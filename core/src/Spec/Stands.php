<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Quantity\StepUnit;

/**
 * Where an arm stands when something is seen of it, where no book gives figures: at its place, short of it, or past it.
 */
enum Stands: string
{
    case Right = 'right';
    case Short = 'short';
    case Past = 'past';

    /**
     * The places taken for it, around the right one: less than a step of what is coarse, most of a turn of what is
     * fine. Ours, no source: a setting that is right holds over some width, and at its edges two things may be seen at
     * one place.
     *
     * @param  string  $unit  what the places are counted in
     * @return array{float|null, float|null} null is without end
     */
    public function edges(string $unit): array
    {
        [$holds, $fails] = $unit === StepUnit::Bevel->value ? [5.0, 5.0] : [0.75, 0.5];

        return $this->around($holds, $fails);
    }

    /**
     * @param  float  $holds  how far from its place it still does what it should
     * @param  float  $fails  from how far on it does not
     * @return array{float|null, float|null} null is without end
     */
    public function around(float $holds, float $fails): array
    {
        return match ($this) {
            self::Right => [-$holds, $holds],
            self::Short => [null, -$fails],
            self::Past => [$fails, null],
        };
    }
}
