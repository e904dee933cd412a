<?php

declare(strict_types=1);

/*
 * How long a pull of 100,000 points takes to be read, and how long `segmented` in R takes for the same number of
 * breaks, in one run. Run by hand: bin/bench traces
 */

require __DIR__.'/../core/autoload.php';

use VividPull\Core\Practice\PulledLever;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Trace\TraceReading;
use VividPull\Core\Trace\WorkingEnd;
use VividPull\Core\Wire\TraceFile;

const RUNS = 20;
const WARM_UP = 3;
const MOST_MS = 150.0;
const LEAST_TIMES = 20.0;

/**
 * @param  callable(): mixed  $work
 * @return array{float, float} median and most, in ms
 */
function middleAndMost(callable $work): array
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

    return [$times[intdiv(RUNS, 2)], $times[RUNS - 1]];
}

/**
 * Seconds that R takes to place the same number of breaks in the pull and in the way back, begun at equal distances as
 * it begins by itself.
 */
function bySegmented(string $csv, int $breaks): ?float
{
    $file = (string) tempnam(sys_get_temp_dir(), 'pull');
    file_put_contents($file, $csv);
    $script = <<<R
        suppressMessages(library(segmented))
        all <- read.csv("{$file}")
        took <- system.time(for (way in c("pull", "release")) {
          d <- all[all\$direction == way, ]
          fit <- suppressWarnings(segmented(lm(force_n ~ travel_mm, data = d), seg.Z = ~travel_mm, npsi = {$breaks}, control = seg.control(seed = 7)))
        })
        cat(took[["elapsed"]])
        R;
    $out = shell_exec('Rscript --vanilla -e '.escapeshellarg($script).' 2>/dev/null');
    unlink($file);

    return is_string($out) && is_numeric(trim($out)) ? (float) $out : null;
}

$chance = new SeededChance(5);
$trace = PulledLever::drawn($chance)->pulled($chance, 50_000);
$csv = TraceFile::csv($trace);
[$median, $most] = middleAndMost(static fn () => TraceReading::of($trace, WorkingEnd::ClutchSprings));
[$readMedian] = middleAndMost(static fn () => TraceFile::read($csv));
$breaks = TraceReading::of($trace, WorkingEnd::ClutchSprings)->pull->line->pieces() - 1;
printf(
    "PHP %s, %d points, %d breaks found, %d runs after %d to warm up\n",
    PHP_VERSION,
    $trace->points(),
    $breaks,
    RUNS,
    WARM_UP,
);
printf("file taken    median %6.1f ms\n", $readMedian);
printf("curve read    median %6.1f ms   most %6.1f ms   (at most %.0f ms)\n", $median, $most, MOST_MS);
$seconds = bySegmented($csv, $breaks);
echo $seconds === null ? "R's segmented did not answer: apt install r-cran-segmented\n"
    : sprintf(
        "R's segmented %13.1f ms   %.0f times as long (at least %.0f times)\n",
        1000 * $seconds,
        1000 * $seconds / $median,
        LEAST_TIMES,
    );
