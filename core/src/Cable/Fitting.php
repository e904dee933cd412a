<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Steps;

/**
 * How an adjuster of any kind sits on its run: what it is called, which way slack goes with it, what reaches it and
 * what holds it.
 */
final readonly class Fitting
{
    public function __construct(
        public string $id,
        public string $name,
        public AdjusterKind $kind,
        public Sense $sense,
        public Steps $smallestStep,
        public AdjusterAccess $access,
        public string $lock,
        public ?float $lockTorqueNm,
        /** Null for the words of its kind. */
        public ?Ways $ways = null,
    ) {}
}
