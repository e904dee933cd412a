<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\RidersWish;

/**
 * What is told of a control before its job: its use, what its signed jobs left and learned, and what people said of it.
 */
final readonly class History
{
    public function __construct(
        public ?ControlDrift $drift = null,
        /** What the meter said when the job opened, in the machine's own unit; null where nobody noted it. */
        public ?float $usage = null,
        public string $usageUnit = '',
        /** @var list<PackInspection> since the last new plates, oldest first */
        public array $pack = [],
        /** What the last signature left outside its band, or faulty; null where it left nothing. */
        public ?LeftBefore $left = null,
        /** @var list<string> what was taken up again and again, a sentence each */
        public array $again = [],
        /** The adjuster that cured it last time; null where none did. */
        public ?string $cured = null,
        /** How its rider wants it; null where nobody said. */
        public ?RidersWish $wish = null,
        /** @var list<Symptom> what it was brought in with: each is gone before it is fit */
        public array $symptoms = [],
    ) {}
}
