<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** What a job asks by which the same is seen as by a look of a search. */
final readonly class JobItem
{
    private function __construct(
        public JobItemKind $kind,
        /** Which inspection, proof or measure; empty where there is one of its kind only. */
        public string $key,
    ) {}

    public static function reading(): self
    {
        return new self(JobItemKind::Reading, '');
    }

    public static function thread(): self
    {
        return new self(JobItemKind::Thread, '');
    }

    public static function inspection(string $key): self
    {
        return new self(JobItemKind::Inspection, $key);
    }

    public static function proof(string $key): self
    {
        return new self(JobItemKind::Proof, $key);
    }

    public static function measure(string $key): self
    {
        return new self(JobItemKind::Measure, $key);
    }
}
