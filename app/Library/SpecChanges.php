<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\SpecVersion;
use VividPull\Core\Judging\Rejudged;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\SignedReading;
use VividPull\Core\Wire\SignedRecord;

/** What a version would have said of the jobs that other versions judged. Nothing of theirs changes. */
final readonly class SpecChanges
{
    private const MOST = 200;

    /** @return array{looked_at: int, changed: list<array<string, mixed>>} newest first */
    public static function of(SpecVersion $version): array
    {
        $spec = $version->spec();
        $jobs = ControlJob::query()->with('control.machine')->whereNotNull('closed_at')
            ->whereHas(
                'control.specVersion',
                static fn ($versions) => $versions
                    ->where('model', $version->model)
                    ->where('control', $version->control),
            )
            ->orderByDesc('closed_at')->limit(self::MOST)->get();
        $records = EntryRow::query()
            ->whereIn('job_id', $jobs->pluck('id'))
            ->where('kind', EntryKind::Closed->value)
            ->get()
            ->keyBy('job_id');
        $changed = [];
        $lookedAt = 0;
        foreach ($jobs as $job) {
            $record = $records->get($job->id)?->signed();
            $left = $record?->left();
            $again = $record === null || $left === null ? null : self::again($spec, $record, $left);
            if ($left === null || $again === null) {
                continue;
            }
            $lookedAt++;
            if ($again->kind !== $left->verdict) {
                $changed[] = [
                    'job' => $job->id, 'tag' => $job->control->machine->tag,
                    'at' => $job->closed_at?->toIso8601String(),
                    'left_mm' => $left->mm, 'was' => $left->verdict->value,
                    'would_be' => $again->kind->value, 'chance_inside' => $again->chance,
                ];
            }
        }

        return ['looked_at' => $lookedAt, 'changed' => $changed];
    }

    private static function again(Spec $spec, SignedRecord $record, SignedReading $left): ?Rejudged
    {
        if ($spec->aim === null || $record->point() !== $spec->aim->point) {
            return null;
        }
        // A figure for a cold engine says nothing of what was read hot.
        $engine = $spec->conditions->engine;
        if ($engine !== null && ($left->engine ?? $engine) !== $engine) {
            return null;
        }

        return Rejudged::by($spec->aim->band, $spec->rule, $left->mm, $left->standardMm, $left->freedom);
    }
}
