<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

use VividPull\Core\Cable\Run;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\Wheels;

/** One control of a machine that is serviced as a whole. */
final readonly class ServiceStop
{
    /** @param  float  $minutes  planned, covers included */
    public function __construct(
        public string $key,
        public string $name,
        public Readiness $ready,
        public Spec $spec,
        public Run $run,
        public float $minutes,
    ) {}

    /** @return array<string, float> minutes to take each cover off, by its name */
    public function covers(): array
    {
        $covers = [];
        foreach ($this->run->adjusters() as $adjuster) {
            if ($adjuster->access()->cover !== null) {
                $covers[$adjuster->access()->cover] = $adjuster->access()->minutes;
            }
        }

        return $covers;
    }

    /** On its wheels first, so that it goes up on a stand once. */
    public function height(): int
    {
        return match ($this->spec->conditions->wheels) {
            Wheels::OnGround => 0,
            null => 1,
            Wheels::OnStand => 2,
        };
    }
}
