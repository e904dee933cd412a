<?php

declare(strict_types=1);

namespace App\Gauges;

use App\Bench\JobHead;
use App\Bench\Traces;
use App\Models\GaugeBridge;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Gauge\GaugeRecording;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Quantity\Dimension;

/**
 * Pulls that a force gauge recorded, on their way to the job that listens. The points are a curve of that job from the
 * first moment, kept as they came; what lies here is only that somebody should look at it.
 */
final readonly class Recordings
{
    /**
     * @return array<string, mixed> what was understood, and whom it was told to
     *
     * @throws Conflict If no job listens to this gauge, or did not when the pull was over.
     */
    public static function take(GaugeBridge $bridge, Node $node, CarbonImmutable $now): array
    {
        $node->object([...Heard::REQUIRED, 'lines'], Heard::OPTIONAL);
        $heard = Heard::of($node, $now);
        if ($heard->shows() !== Dimension::Force->value) {
            throw Refused::because(
                "{$heard->name()} shows a {$heard->shows()}, and a pull is recorded with a force gauge. Check which instrument its line is set to.",
            );
        }
        $recording = GaugeRecording::of(
            array_map(self::line(...), $node->at('lines')->items(GaugeRecording::MOST)),
            $heard->reads,
        );
        $heaviest = round($recording->heaviest(), 1);
        $entered = 'A pull of '.round($recording->lasted(), 1)." s, up to {$heaviest} N,";
        $known = DB::table('gauge_recordings')
            ->join('traces', 'traces.id', '=', 'trace_id')
            ->where('trace_id', $heard->id)
            ->first(['gauge_recordings.*', 'traces.user_id']);
        if ($known instanceof stdClass && $known->bridge_id !== $bridge->id) {
            throw new Conflict('Another recording was sent under this id.');
        }
        $claim = $known instanceof stdClass ? $known : $heard->claim("up to {$heaviest} N");
        DB::transaction(static function () use ($heard, $recording, $claim, $bridge, $now): void {
            $by = User::query()->findOrFail((int) $claim->user_id);
            Traces::keep(JobHead::find($claim->job_id), $by, $heard->id, $recording->csv(), $now);
            DB::table('gauge_recordings')->insertOrIgnore(self::row($heard, $recording, $claim, $bridge, $now));
        });
        Wake::all($claim->job_id);

        return [
            'id' => $heard->id,
            'entered' => $entered,
            'low_battery' => $recording->lowBattery,
            'told' => Listening::job($claim->job_id),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(
        Heard $heard,
        GaugeRecording $recording,
        stdClass $claim,
        GaugeBridge $bridge,
        CarbonImmutable $now,
    ): array {
        return [
            'trace_id' => $heard->id,
            'bridge_id' => $bridge->id,
            'instrument' => $heard->instrument(),
            'job_id' => $claim->job_id,
            'seconds' => $recording->lasted(),
            'heaviest_n' => $recording->heaviest(),
            'spoilt' => $recording->spoilt,
            'low_battery' => $recording->lowBattery,
            'at' => Listening::instant($heard->at),
            'received_at' => Listening::instant($now),
        ];
    }

    /**
     * Those of a job that nobody has kept or dropped, oldest first.
     *
     * @return list<array<string, mixed>>
     */
    public static function waiting(string $job): array
    {
        $kept = DB::table('entries')->where('job_id', $job)->where('kind', EntryKind::Trace->value)->pluck('body')
            ->map(
                static fn (mixed $body): mixed => json_decode((string) $body, true, 64, JSON_THROW_ON_ERROR)['trace']
                    ?? null,
            )->all();

        return array_values(
            self::open($job)
                ->get()
                ->reject(static fn (stdClass $row): bool => in_array($row->trace_id, $kept, true))
                ->map(static fn (stdClass $row): array => [
                    'trace' => $row->trace_id,
                    'instrument' => $row->instrument,
                    'name' => (string) json_decode((string) $row->body, true, 16, JSON_THROW_ON_ERROR)['name'],
                    'points' => (int) $row->points,
                    'seconds' => (float) $row->seconds,
                    'heaviest_n' => (float) $row->heaviest_n,
                    'spoilt' => (int) $row->spoilt,
                    'low_battery' => (bool) $row->low_battery,
                    'at' => CarbonImmutable::parse($row->at, 'UTC')->toIso8601ZuluString('millisecond'),
                ])
                ->all(),
        );
    }

    public static function drop(string $job, string $trace): void
    {
        DB::table('gauge_recordings')
            ->where('job_id', $job)
            ->where('trace_id', $trace)
            ->whereNull('dropped_at')
            ->update(['dropped_at' => Listening::instant(CarbonImmutable::now())]);
        Wake::all($job);
    }

    /** @return array{int, string} a line and its time in ms */
    private static function line(Node $node): array
    {
        $pair = $node->items(2);

        return count($pair) === 2
            ? [$pair[0]->integer(0, PHP_INT_MAX), $pair[1]->string(80)]
            : throw BadFile::at($node->path, 'a line is its time in ms and what came.');
    }

    private static function open(string $job): Builder
    {
        return DB::table('gauge_recordings')
            ->join('traces', 'traces.id', '=', 'gauge_recordings.trace_id')
            ->join('instruments', 'instruments.id', '=', 'gauge_recordings.instrument')
            ->where('gauge_recordings.job_id', $job)
            ->whereNull('dropped_at')
            ->orderBy('gauge_recordings.at')
            ->select(['gauge_recordings.*', 'traces.points', 'instruments.body']);
    }
}
