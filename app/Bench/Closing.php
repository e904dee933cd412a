<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\Visit;
use Carbon\CarbonImmutable;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Wire\RunCodec;

/** What follows from a signature: the job leaves the bench, and the control's summary is written for the lists. */
final readonly class Closing
{
    public static function of(JobHead $head, Closed $closed, BenchState $state, CarbonImmutable $now): void
    {
        $job = ControlJob::query()->with(['control.machine', 'control.specVersion'])->findOrFail($head->id);
        $job->forceFill(['open_control_id' => null, 'closed_at' => $now])->save();
        $job->control->forceFill([
            'summary' => ControlSummary::of($job, $closed, $state),
            'run' => self::run($job, $state),
            'planned_on' => null,
        ])->save();
        NextLook::refresh($job->control);
        if (ControlJob::query()->where('visit_id', $head->visit)->whereNotNull('open_control_id')->doesntExist()) {
            Visit::query()->findOrFail($head->visit)->forceFill(['closed_at' => $now])->save();
        }
    }

    /**
     * What hangs on the machine now: its run with the adjusters that were fitted in this job, and with its hand control
     * as it was measured.
     *
     * @return array<string, mixed>
     */
    private static function run(ControlJob $job, BenchState $state): array
    {
        $voids = $state->log->voids();
        $fitted = EntryRow::query()
            ->where('job_id', $job->id)
            ->where('kind', EntryKind::Adjuster->value)
            ->orderBy('seq')
            ->get()
            ->reject(static fn (EntryRow $row): bool => isset($voids[$row->id]));

        $run = $fitted->reduce(
            static fn (array $run, EntryRow $row): array => self::withFitted($run, $row->body),
            $job->control->run,
        );
        $hand = $state->run->hand;

        return $hand === $state->run->asOpened()->hand ? $run : ['hand' => RunCodec::handWritten($hand)] + $run;
    }

    /**
     * A run as it was written, with an adjuster fitted on one machine: as the core's Run::fitted does to the decoded
     * one.
     *
     * @param  array<string, mixed>  $run
     * @param  array<string, mixed>  $fitted  body of the entry
     * @return array<string, mixed>
     */
    private static function withFitted(array $run, array $fitted): array
    {
        $old = $fitted['in_place_of'] ?? null;
        foreach ($run['cables'] as $n => $cable) {
            if ($cable['id'] === $fitted['cable']) {
                $run['cables'][$n]['adjusters'] = $old === null ? [...$cable['adjusters'], $fitted['adjuster']]
                    : array_map(
                        static fn (array $one): array => $one['id'] === $old ? $fitted['adjuster'] : $one,
                        $cable['adjusters'],
                    );
            }
        }

        return $run;
    }
}
