<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Measurement\KeptReading;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\EngineHeat;

/**
 * Play as it was signed; older records, and those that came from a list, say less of it.
 *
 * @phpstan-type ReadingAsKept array{
 *     mm: float|int, expanded_mm: float|int, standard_mm?: float|int, freedom?: float|int|null, engine?: string|null,
 *     verdict: string, chance_inside?: float|null, ...<string, mixed>,
 * }
 */
final readonly class SignedReading
{
    private function __construct(
        public float $mm,
        /** One standard uncertainty, in mm. */
        public float $standardMm,
        /** ± at 95 %, in mm. */
        public float $expandedMm,
        public float $freedom,
        public ?EngineHeat $engine,
        public VerdictKind $verdict,
        public ?float $chanceInside,
    ) {}

    /** @param  ReadingAsKept  $kept */
    public static function of(array $kept): self
    {
        $expanded = (float) $kept['expanded_mm'];

        return new self(
            (float) $kept['mm'],
            (float) ($kept['standard_mm'] ?? KeptReading::standard($expanded)),
            $expanded,
            max(1.0, (float) ($kept['freedom'] ?? INF)),
            EngineHeat::tryFrom($kept['engine'] ?? ''),
            VerdictKind::from($kept['verdict']),
            $kept['chance_inside'] ?? null,
        );
    }
}
