<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Facts\Refit;

/** What other open jobs of the same visit say is off the machine: it is one machine, whoever runs it. */
final readonly class CoversElsewhere
{
    /**
     * @param  Collection<int, StoredEntry>  $rows  of the whole visit
     * @return array<string, list<string>> names of covers, by the control whose job says so
     */
    public static function of(JobHead $job, Collection $rows): array
    {
        $covers = [];
        foreach (DB::table('control_jobs')->where('visit_id', $job->visit)->whereNotNull('open_control_id')->where('id', '!=', $job->id)->orderBy('opened_at')->pluck('id') as $id) {
            if (is_string($id) && $rows->contains(static fn (StoredEntry $row): bool => $row->job === $id && $row->kind === 'cover')) {
                $other = JobHead::find($id);
                $state = JobLog::fromVisit($id, $other->frame, $rows)->replay();
                $covers[lcfirst($other->controlName)] = Refit::of($state->spec, $state->run, $state->facts)->openToAll();
            }
        }

        return array_filter($covers);
    }
}
