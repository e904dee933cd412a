<?php

declare(strict_types=1);

namespace App\Gauges;

use App\Models\GaugeBridge;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Gauge\GaugeLine;
use VividPull\Core\Input\Node;

/**
 * What gauges sent, on its way to the job that listens. A reading lies here until a screen of that job has logged it
 * under the same id, or somebody drops it; it never turns to another job.
 */
final readonly class Arrivals
{
    /**
     * A reading older than this is looked at before it is logged: the server or the network was away, and the hand has
     * moved on; ours.
     */
    private const LATE_S = 20;

    /** What was neither logged nor dropped is cleared away after these days. */
    private const KEPT_DAYS = 7;

    /**
     * @return array<string, mixed> what was understood, and whom it was told to
     *
     * @throws Conflict If no job listens to this gauge, or did not when its button was pressed.
     */
    public static function take(GaugeBridge $bridge, Node $node, CarbonImmutable $now): array
    {
        $node->object([...Heard::REQUIRED, 'line'], Heard::OPTIONAL);
        $heard = Heard::of($node, $now);
        $line = $node->at('line')->string(80);
        $known = DB::table('gauge_readings')->find($heard->id);
        if ($known instanceof stdClass) {
            return $known->bridge_id === $bridge->id && $known->line === $line
                ? self::answer($known)
                : throw new Conflict('Another reading was sent under this id.');
        }
        $read = GaugeLine::read($line, $heard->reads);
        if ($read->dimension()->value !== $heard->shows()) {
            throw Refused::because(
                "{$heard->name()} sent {$read->entered}, which is a {$read->dimension()->value}; it shows a {$heard->shows()}. Check which instrument its line is set to.",
            );
        }
        $claim = $heard->claim($read->entered);
        $row = [
            'id' => $heard->id, 'bridge_id' => $bridge->id, 'instrument' => $heard->instrument(),
            'job_id' => $claim->job_id, 'device' => $claim->device, 'line' => $line, 'entered' => $read->entered,
            'dimension' => $heard->shows(), 'low_battery' => $read->lowBattery, 'at' => Listening::instant($heard->at),
            'received_at' => Listening::instant($now),
        ];
        DB::table('gauge_readings')->insert($row);
        Wake::all($claim->job_id);

        return self::answer((object) $row);
    }

    /** Clears away what nobody logged or dropped in all those days. */
    public static function sweep(CarbonImmutable $now): void
    {
        DB::table('gauge_readings')
            ->where('received_at', '<', Listening::instant($now->subDays(self::KEPT_DAYS)))
            ->delete();
    }

    /**
     * Those that wait in a job, oldest first.
     *
     * @return list<array<string, mixed>>
     */
    public static function waiting(string $job, CarbonImmutable $now): array
    {
        return array_values(
            self::open($job)->get()->map(static fn (stdClass $row): array => self::said($row, $now))->all(),
        );
    }

    /**
     * Those that no screen has been handed, for the one that asks: each is handed once.
     *
     * @return list<array<string, mixed>>
     */
    public static function handOut(string $job, string $device, CarbonImmutable $now): array
    {
        $handed = [];
        foreach (self::open($job)->where('gauge_readings.device', $device)->whereNull('handed_at')->get() as $row) {
            if (
                DB::table('gauge_readings')
                    ->where('id', $row->id)
                    ->whereNull('handed_at')
                    ->update(['handed_at' => Listening::instant($now)]) === 1
            ) {
                $handed[] = self::said($row, $now);
            }
        }

        return $handed;
    }

    public static function drop(string $job, string $id): void
    {
        DB::table('gauge_readings')
            ->where('job_id', $job)
            ->where('id', $id)
            ->whereNull('dropped_at')
            ->update(['dropped_at' => Listening::instant(CarbonImmutable::now())]);
        Wake::all($job);
    }

    /**
     * In the order in which they came, which is that in which they were pressed: how long ago that was is known less
     * well than that.
     */
    private static function open(string $job): Builder
    {
        return DB::table('gauge_readings')
            ->leftJoin('entries', 'entries.id', '=', 'gauge_readings.id')
            ->join('instruments', 'instruments.id', '=', 'gauge_readings.instrument')
            ->where('gauge_readings.job_id', $job)
            ->whereNull('dropped_at')
            ->whereNull('entries.id')
            ->orderBy('gauge_readings.received_at')
            ->orderBy('gauge_readings.at')
            ->select(['gauge_readings.*', 'instruments.body']);
    }

    /** @return array<string, mixed> */
    private static function said(stdClass $row, CarbonImmutable $now): array
    {
        $at = CarbonImmutable::parse($row->at, 'UTC');

        return [
            'id' => $row->id, 'instrument' => $row->instrument,
            'name' => (string) json_decode((string) $row->body, true, 16, JSON_THROW_ON_ERROR)['name'],
            'entered' => $row->entered,
            'dimension' => $row->dimension, 'low_battery' => (bool) $row->low_battery,
            'at' => $at->toIso8601ZuluString('millisecond'),
            'late' => $at->diffInSeconds($now, true) > self::LATE_S,
        ];
    }

    /** @return array<string, mixed> */
    private static function answer(stdClass $row): array
    {
        return [
            'id' => $row->id,
            'entered' => $row->entered,
            'low_battery' => (bool) $row->low_battery,
            'told' => Listening::job($row->job_id),
        ];
    }
}
