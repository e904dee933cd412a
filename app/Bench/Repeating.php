<?php

declare(strict_types=1);

namespace App\Bench;

use App\Gauges\InstrumentChecks;
use App\Models\Control;
use App\Models\Instrument;
use Illuminate\Support\Collection;
use VividPull\Core\Facts\Pooling;

/**
 * How well each person repeats with each instrument, from the jobs that were closed last on the shop's controls and
 * from studies of play.
 */
final readonly class Repeating
{
    /** Controls looked at: what the shop did lately, and a bounded read. */
    private const CONTROLS = 200;

    /**
     * @param  Collection<int, Instrument>  $shelf
     * @return list<array{person: string, instrument: string, deviation_mm: float, freedom: float}>
     */
    public static function on(Collection $shelf): array
    {
        $kinds = $shelf->mapWithKeys(static fn (Instrument $one): array => [$one->id => $one->kind()])->all();
        $pooled = [];
        foreach (self::sums() as [
            'person' => $person,
            'instrument' => $instrument,
            'squares' => $squares,
            'freedom' => $freedom,
        ]) {
            if (isset($kinds[$instrument])) {
                $repeats = Pooling::repeatability($kinds[$instrument], $squares, $freedom);
                $pooled[] = [
                    'person' => $person,
                    'instrument' => $instrument,
                    'deviation_mm' => $repeats->deviation,
                    'freedom' => $repeats->freedom,
                ];
            }
        }

        return $pooled;
    }

    /**
     * @return list<array{person: string, instrument: string, squares: float, freedom: int}> one a person and instrument
     */
    private static function sums(): array
    {
        $sums = [];
        foreach ([...self::inJobs(), ...InstrumentChecks::repeats()] as $one) {
            $key = "{$one['person']}/{$one['instrument']}";
            $sums[$key] ??= [
                'person' => $one['person'],
                'instrument' => $one['instrument'],
                'squares' => 0.0,
                'freedom' => 0,
            ];
            $sums[$key]['squares'] += $one['squares'];
            $sums[$key]['freedom'] += $one['freedom'];
        }

        return array_values($sums);
    }

    /** @return list<array{person: string, instrument: string, squares: float, freedom: int}> */
    private static function inJobs(): array
    {
        $all = [];
        foreach (Control::query()->whereNotNull('summary')->orderByDesc('updated_at')->limit(self::CONTROLS)->pluck('summary') as $summary) {
            array_push($all, ...($summary->handedOn->spread ?? []));
        }

        return $all;
    }
}
