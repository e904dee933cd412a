<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Control;
use App\Models\Instrument;
use App\Models\Machine;
use App\Models\SpecVersion;
use Database\Demo\DemoFleet;
use Database\Demo\DemoPeople;

/** A yard small enough for tests: the demo's people and shelf, a motorcycle and a quad, and no history. */
final readonly class Yard
{
    public static function fill(): void
    {
        DemoPeople::load();
        foreach (DemoFleet::SHELF as $place => [$id, $body]) {
            Instrument::query()->create(['id' => $id, 'place' => $place, 'body' => $body]);
        }
        foreach (DemoFleet::MACHINES as [$tag, $plate, $model, $kind, $year, $place, $usage, $unit, $controls]) {
            if (in_array($tag, ['RT-14', 'QB-03'], true)) {
                $machine = Machine::query()->create(['tag' => $tag, 'plate' => $plate, 'name' => $model, 'kind' => $kind, 'year' => $year,
                    'place' => $place, 'usage_reading' => $usage, 'usage_unit' => $unit, 'ran_until' => null]);
                self::controls($machine, $model, $controls);
            }
        }
    }

    /** @param  list<string>  $keys */
    private static function controls(Machine $machine, string $model, array $keys): void
    {
        foreach ($keys as $key) {
            $spec = SpecVersion::query()->create(['model' => $model, 'control' => $key, 'version' => 1, 'body' => DemoFleet::spec($model, $key)]);
            Control::query()->create(['machine_id' => $machine->id, 'spec_version_id' => $spec->id, 'key' => $key,
                'name' => $key === 'clutch' ? 'Clutch lever' : 'Throttle grip', 'run' => DemoFleet::run($model, $key), 'minutes' => 12]);
        }
    }
}
