<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\SpecVersion;
use Carbon\CarbonImmutable;
use VividPull\Core\Log\EntryKind;

/**
 * Which part numbers were fitted to a control of this model, on any machine, and which did not fit: nobody orders one
 * of those again.
 */
final readonly class ModelParts
{
    /** The latest closed jobs of the model that are looked through. */
    private const MOST = 300;

    /**
     * @return list<array{number: string, part: string, fits: bool, tag: string, on: string}> a number once, as it was
     *     told last; newest first
     */
    public static function of(JobHead $job): array
    {
        $found = SpecVersion::query()
            ->whereKey(ControlJob::query()->whereKey($job->id)->value('spec_version_id'))
            ->firstOrFail();
        $versions = SpecVersion::query()->where('model', $found->model)->where('control', $found->control)->pluck('id');
        $jobs = ControlJob::query()
            ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
            ->join('machines', 'machines.id', '=', 'controls.machine_id')
            ->whereIn('control_jobs.spec_version_id', $versions)
            ->whereNotNull('control_jobs.closed_at')
            ->orderByDesc('control_jobs.closed_at')
            ->limit(self::MOST)
            ->toBase()->get(['control_jobs.id', 'control_jobs.closed_at', 'machines.tag'])->keyBy('id');
        $records = EntryRow::query()
            ->whereIn('job_id', $jobs->keys())
            ->where('kind', EntryKind::Closed->value)
            ->get(['job_id', 'body'])
            ->keyBy('job_id');
        $parts = [];
        foreach ($jobs as $id => $one) {
            $told = ['tag' => $one->tag, 'on' => ShopClock::dayOf(CarbonImmutable::parse($one->closed_at, 'UTC'))];
            foreach ($records->get($id)?->signed()?->numbers() ?? [] as $part) {
                $parts[$part['number']] ??= [
                    'number' => $part['number'],
                    'part' => $part['part']->label(),
                    'fits' => $part['fits'],
                ]
                    + $told;
            }
        }

        return array_values($parts);
    }
}
