<?php

declare(strict_types=1);

/*
 * How long the core takes: the steps of replay over 100 entries with 33 moves that teach, and the advice after them.
 * Run by hand: php bench/replay.php
 */

require __DIR__.'/../core/autoload.php';

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\Log;
use VividPull\Core\Planning\Advice;
use VividPull\Core\Wire\JobFile;

const RUNS = 2000;
const WARM_UP = 300;

/** A clutch job of 100 entries: three readings, then 32 moves with two readings each. */
function hundredEntries(): BenchState
{
    $file = json_decode(
        (string) file_get_contents(__DIR__.'/../docs/formats/examples/clutch-lever.json'),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $by = $file['log'][0]['by'];
    $log = [$file['log'][0]];
    $add = static function (string $kind, array $body) use (&$log, $by): void {
        $n = count($log) + 1;
        $log[] = [
            'id' => "e{$n}",
            'kind' => $kind,
            'at' => sprintf('2026-03-03T09:%02d:%02d+00:00', intdiv($n, 60), $n % 60),
            'by' => $by,
            'body' => $body,
        ];
    };
    $read = static fn (float $mm) => $add(
        'reading',
        [
            'mm' => $mm,
            'entered' => (string) $mm,
            'point' => 'lever_tip',
            'engine' => 'cold',
            'wheels' => 'on_ground',
            'instrument' => 'rule',
        ],
    );
    $play = 25.0;
    array_map($read, [$play, $play + 0.2, $play - 0.2]);
    for ($i = 0; count($log) < 100; $i++) {
        $flats = $i % 2 === 0 ? 2 : -2;
        $add('move', ['adjuster' => 'perch', 'flats' => $flats]);
        $play -= 0.7237 * $flats;
        array_map($read, [round($play + 0.1, 1), round($play - 0.1, 1)]);
    }
    $file['log'] = array_slice($log, 0, 100);

    return JobFile::replay(json_encode($file, JSON_THROW_ON_ERROR));
}

/**
 * @param  callable(): mixed  $work
 * @return array{float, float, float} median, 95th percentile and least, in ms
 */
function timed(callable $work): array
{
    $times = [];
    for ($i = -WARM_UP; $i < RUNS; $i++) {
        $start = hrtime(true);
        $work();
        if ($i >= 0) {
            $times[] = (hrtime(true) - $start) / 1e6;
        }
    }
    sort($times);

    return [$times[intdiv(RUNS, 2)], $times[(int) (RUNS * 0.95)], $times[0]];
}

$state = hundredEntries();
$log = Log::of(...$state->log->entries);
printf(
    "PHP %s, %d entries, %d moves, %d runs after %d to warm up\n",
    PHP_VERSION,
    count($log->entries),
    count($state->facts->readings->moves),
    RUNS,
    WARM_UP,
);
printf(
    "replay, facts to progress   median %.3f ms   p95 %.3f ms   least %.3f ms   (at most 0.5 ms a run)\n",
    ...timed(static fn (): BenchState => Bench::replay($state->spec, $state->run, $log)),
);
printf(
    "what is learned, and advice median %.3f ms   p95 %.3f ms   least %.3f ms   (at most 3 ms a run)\n",
    ...timed(
        static fn (): mixed => (new Advice($state->spec, $state->run, $state->facts, $state->judgement))->outcome(),
    ),
);
