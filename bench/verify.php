<?php

declare(strict_types=1);

/*
 * How fast a log is held against its chain: the demo's own entries, copied to many visits. Run by hand: bin/bench
 * verify
 */

require __DIR__.'/../vendor/autoload.php';

use App\Chain\ChainCheck;
use App\Chain\DayHeads;
use App\Chain\Rechain;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

const ENTRIES = 200_000;

putenv('WORKSHOP_DEMO=true');
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
Artisan::call('migrate', ['--force' => true]);
Artisan::call('workshop:begin', ['--demo' => true]);

$visits = DB::table('visits')->get()->keyBy('id');
$entries = DB::table('entries')->get()->groupBy('visit_id');
for ($many = DB::table('entries')->count(); $many < ENTRIES;) {
    foreach ($entries as $visit => $rows) {
        $id = (string) Str::uuid();
        DB::table('visits')->insert(['id' => $id] + (array) $visits[$visit]);
        foreach (array_chunk($rows->all(), 500) as $piece) {
            DB::table('entries')->insert(array_map(
                static fn (object $row): array => ['id' => (string) Str::uuid(), 'visit_id' => $id, 'chain' => null]
                    + (array) $row,
                $piece,
            ));
        }
        $many += count($rows);
    }
}
$timed = static function (string $what, Closure $work): void {
    $start = hrtime(true);
    $said = $work();
    $seconds = (hrtime(true) - $start) / 1e9;
    printf(
        "%-28s %7.1f s for %d entries, %d a minute%s\n",
        $what,
        $seconds,
        ENTRIES,
        (int) (ENTRIES / $seconds * 60),
        $said === null ? '' : ": {$said}",
    );
};
$timed('chained by an upgrade', static function (): ?string {
    Rechain::missing();

    return null;
});
$timed('checked', static fn (): ?string => (new ChainCheck)->complaint());
$timed('heads of every day', static function (): ?string {
    DayHeads::all();

    return null;
});
