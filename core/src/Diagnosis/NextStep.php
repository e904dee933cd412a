<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** What is done next, why, and what each answer would mean. */
final readonly class NextStep
{
    /**
     * @param  string  $key  of the symptom, the check or the cause
     * @param  string  $sentence  what to do
     * @param  string  $why  why this one now
     * @param  float  $minutes  what it takes by itself
     * @param  float  $expected  minutes until it is right, on average, if one goes on like this
     * @param  array<string, string>  $meanings  by answer
     * @param  string|null  $before  what is put back before it runs
     */
    public function __construct(
        public StepKind $kind,
        public string $key,
        public string $sentence,
        public string $why,
        public float $minutes,
        public float $expected,
        public array $meanings = [],
        public ?string $before = null,
    ) {}
}
