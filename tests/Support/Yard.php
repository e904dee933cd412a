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
        self::add('RT-14');
        self::add('QB-03');
    }

    /** One more machine of the demo's fleet; within a test it goes with the test. */
    public static function add(string $wanted): void
    {
        foreach (DemoFleet::MACHINES as [$tag, $plate, $model, $kind, $year, $place, $usage, $unit, $controls]) {
            if ($tag === $wanted) {
                $machine = Machine::query()->create([
                    'tag' => $tag, 'plate' => $plate, 'name' => $model, 'kind' => $kind, 'year' => $year,
                    'place' => $place, 'usage_reading' => $usage, 'usage_unit' => $unit, 'ran_until' => null,
                ]);
                self::controls($machine, $model, $controls);
            }
        }
    }

    /** @param  list<string>  $keys */
    private static function controls(Machine $machine, string $model, array $keys): void
    {
        foreach ($keys as $key) {
            $spec = SpecVersion::query()->firstOrCreate(
                ['model' => $model, 'control' => $key, 'version' => 1],
                DemoFleet::version($model, $key),
            );
            Control::query()->create(['machine_id' => $machine->id, 'spec_version_id' => $spec->id, 'key' => $key,
                'name' => DemoFleet::NAMES[$key], 'run' => DemoFleet::run($model, $key), 'minutes' => 12]);
        }
    }
}
