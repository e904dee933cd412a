<?php

declare(strict_types=1);

namespace App\Gauges;

use App\Bench\JobHead;
use App\Models\Instrument;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Errors\Refused;

/** Which job each gauge speaks to: the one open on the device that claimed it last, and no other. */
final readonly class Listening
{
    public static function claim(JobHead $job, string $instrument, User $by, string $device): void
    {
        $row = Instrument::query()->whereNull('retired_at')->find($instrument)
            ?? throw Refused::because('No such instrument is on the shelf.');
        $before = DB::table('gauge_claims')->where('instrument', $row->id)->value('job_id');
        DB::table('gauge_claims')->upsert(
            [
                'instrument' => $row->id,
                'job_id' => $job->id,
                'user_id' => $by->id,
                'device' => $device,
                'since' => self::instant(),
            ],
            ['instrument'],
            ['job_id', 'user_id', 'device', 'since'],
        );
        Wake::all($job->id);
        if (is_string($before) && $before !== $job->id) {
            Wake::all($before);
        }
    }

    public static function letGo(JobHead $job, string $instrument): void
    {
        DB::table('gauge_claims')->where('instrument', $instrument)->where('job_id', $job->id)->delete();
        Wake::all($job->id);
    }

    /** The job and device it spoke to at that moment; null where nobody listened then, or the job is closed. */
    public static function at(string $instrument, CarbonImmutable $at): ?stdClass
    {
        $claim = DB::table('gauge_claims')->join('control_jobs', 'control_jobs.id', '=', 'gauge_claims.job_id')
            ->where('instrument', $instrument)
            ->whereNull('control_jobs.closed_at')
            ->where('since', '<=', self::instant($at))
            ->first(['gauge_claims.*']);

        return $claim instanceof stdClass ? $claim : null;
    }

    /**
     * The gauges that somebody carries: where each speaks, and whether that is this job on this device.
     *
     * @return list<array<string, mixed>>
     */
    public static function of(JobHead $job, ?string $device): array
    {
        $carriers = Bridges::carriers();
        $claims = DB::table('gauge_claims')->join('control_jobs', 'control_jobs.id', '=', 'gauge_claims.job_id')
            ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
            ->join('machines', 'machines.id', '=', 'controls.machine_id')
            ->join('users', 'users.id', '=', 'gauge_claims.user_id')
            ->whereNull('control_jobs.closed_at')
            ->get(['gauge_claims.*', 'controls.name as control', 'machines.tag', 'users.name as person'])
            ->keyBy('instrument');
        $said = [];
        foreach (Instrument::onTheShelf() as $one) {
            $claim = $claims->get($one->id);
            if (isset($carriers[$one->id]) || ($claim !== null && $claim->job_id === $job->id)) {
                $here = $claim !== null && $claim->job_id === $job->id && $claim->device === $device;
                $said[] = [
                    'instrument' => $one->id, 'name' => $one->instrument()->name,
                    'dimension' => $one->kind()->dimension()->value,
                    'bridge' => isset($carriers[$one->id]) ? $carriers[$one->id]->name : null,
                    'there' => isset($carriers[$one->id]) && Bridges::isThere($carriers[$one->id]),
                    'here' => $here,
                    'elsewhere' => $claim === null || $here
                        ? null
                        : ($claim->job_id === $job->id
                            ? "{$claim->person}, on another device"
                            : "{$claim->tag}, {$claim->control} ({$claim->person})"),
                ];
            }
        }

        return $said;
    }

    /** A job, for whoever reads along at the gauge. */
    public static function job(string $id): string
    {
        $head = JobHead::find($id);

        return "{$head->tag}, {$head->controlName}";
    }

    /** As the tables of gauges hold it. */
    public static function instant(?CarbonImmutable $at = null): string
    {
        return ($at ?? CarbonImmutable::now())->utc()->format('Y-m-d H:i:s.v');
    }
}
