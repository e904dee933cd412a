<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

/** How a control truly stands before anybody touches it. */
final readonly class AsFound
{
    /**
     * @param  float  $play  bars straight, in mm at the point of the spec; below zero it is taut
     * @param  float|null  $secondPlay  of a second cable with a play of its own, at its own point
     * @param  float  $offset  of a table's arm from where it should stand, in the table's unit
     * @param  array<string, float>  $at  where the adjusters stand, in turns or what else they are counted in
     * @param  list<Fault>  $faults
     * @param  bool  $isHot  whether its engine is
     * @param  float|null  $speed  in km/h, that its governor lets it reach with both cables right; null where it has
     *     none
     */
    public function __construct(
        public float $play,
        public ?float $secondPlay,
        public float $offset,
        public array $at,
        public array $faults,
        public bool $isHot = false,
        public ?float $speed = null,
    ) {}
}
