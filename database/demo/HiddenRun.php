<?php

declare(strict_types=1);

namespace Database\Demo;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** A cable run as it truly is, which the demo's technicians read through noise. Independent of the planner. */
final class HiddenRun
{
    private readonly Randomizer $chance;

    /** @param  float  $play  true play at the spec's point, in mm */
    public function __construct(
        public float $play,
        private readonly float $ratio,
        private readonly float $noise,
        int $seed,
        private readonly float $left = -0.3,
        private readonly float $right = 0.2,
    ) {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** One reading, rounded to the instrument's half millimetre or tenth. */
    public function read(float $resolution, string $pose): float
    {
        $true = $this->play + match ($pose) {
            'left' => $this->left,
            'right' => $this->right,
            default => 0.0,
        };
        $seen = $true + $this->noise * ($this->chance->getInt(-1000, 1000) + $this->chance->getInt(-1000, 1000)) / 1000;

        return max(0.0, round($seen / $resolution) * $resolution);
    }

    /** @param  float  $slack  mm of conduit given */
    public function give(float $slack): void
    {
        $this->play = max(0.0, $this->play + $this->ratio * $slack);
    }

    public function wear(float $mm): void
    {
        $this->play = max(0.0, $this->play + $mm);
    }
}
