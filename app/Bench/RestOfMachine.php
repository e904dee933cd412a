<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\ControlJob;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Facts\Refit;

/** What the other controls of a machine say against running it: it is one machine, whatever is tried of it. */
final readonly class RestOfMachine
{
    /**
     * @param  array<string, list<string>>  $coversOff  names, by the control whose open job says so
     * @param  array<string, string>  $tags  reasons, by the control they hang on
     */
    private function __construct(public array $coversOff, public array $tags) {}

    /** @param  Collection<int, StoredEntry>  $rows  of the whole visit */
    public static function of(JobHead $job, Collection $rows): self
    {
        [$covers, $tags] = [[], []];
        $machine = DB::table('control_jobs')->join('controls', 'controls.id', '=', 'control_jobs.control_id')->where('control_jobs.id', $job->id)->select('controls.machine_id');
        foreach (Control::query()->whereIn('machine_id', $machine)->where('key', '!=', $job->controlKey)->orderBy('id')->get() as $control) {
            $name = lcfirst($control->name);
            $open = ControlJob::query()->where('open_control_id', $control->id)->first();
            $state = $open === null ? null : JobLog::fromVisit($open->id, $open->frame, $rows)->replay();
            $covers[$name] = $state === null ? [] : Refit::of($state->spec, $state->run, $state->facts)->coversThatMustBeOn();
            $tag = $state === null ? $control->summary->tag['reason'] ?? null : $state->facts->tag?->reason;
            $tags += $tag === null ? [] : [$name => $tag];
        }

        return new self(array_filter($covers), $tags);
    }
}
