<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\EntryRow;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Wire\SignedReading;

/**
 * What a file says was found and left. Such a job was signed before it came in, so its record counts and not what its
 * log would be judged to.
 */
final readonly class ImportedRecord
{
    /**
     * What the record of such a job says made it, and who stands in its log: a name in a file is nobody who signs in
     * here.
     */
    public const HISTORY = 'history';

    private const WORDS = 'As its file says';

    /**
     * @return array{found: array<string, mixed>|null, left: array<string, mixed>|null}|null null for a job that was
     *     done here
     */
    public static function of(string $job, BenchState $state): ?array
    {
        if ($state->facts->closed?->stamp->by->id !== self::HISTORY) {
            return null;
        }
        $record = EntryRow::query()
            ->where('job_id', $job)
            ->where('kind', EntryKind::Closed->value)
            ->firstOrFail()->signed();
        // Somebody here may sign in by that word; what they sign has another maker.
        if ($record?->engine() !== self::HISTORY) {
            return null;
        }

        return ['found' => self::judged($record->found()), 'left' => self::judged($record->left())];
    }

    /** @return array<string, mixed>|null as a state says a judged reading */
    private static function judged(?SignedReading $reading): ?array
    {
        return $reading === null ? null : [
            'mm' => $reading->mm,
            'expanded_mm' => $reading->expandedMm,
            'standard_mm' => $reading->standardMm,
            'freedom' => null,
            'count' => 0,
            'instrument' => null,
            'overdue_since' => null,
            'left_out' => [],
            'doubt' => null,
            'converted_from' => null,
            'verdict' => $reading->verdict->value,
            'sentence' => self::WORDS,
            'advice' => null,
            'chance_inside' => $reading->chanceInside,
            'beyond_mm' => 0.0,
        ];
    }
}
