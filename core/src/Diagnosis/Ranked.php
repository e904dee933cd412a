<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** A cause, its chance, and what speaks for and against it in sentences. */
final readonly class Ranked
{
    /**
     * @param  list<string>  $for
     * @param  list<string>  $against
     */
    public function __construct(
        public Cause $cause,
        public float $chance,
        public array $for,
        public array $against,
        public bool $isRuledOut,
    ) {}
}
