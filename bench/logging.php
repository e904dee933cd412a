<?php

declare(strict_types=1);

/*
 * A reading logged and answered with the whole new state, against a bare route with session, token and one insert:
 * in turns, in one run, four people at once. Run by hand: bin/bench logging
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Support\HttpClient;
use Tests\Support\Server;

/** Rounds in one job, so that its log is as long as a job's is. */
const ROUNDS_A_JOB = 30;
const JOBS = 5;
const WARM_UP = 10;
const PEOPLE = [
    ['ines', 'ferry-bell-42', 'RT-14'], ['tomas', 'dune-grass-17', 'RT-20'], ['oda', 'harbour-lamp-9', 'RT-11'], ['ines', 'ferry-bell-42', 'SC-05'],
];

function uuid(): string
{
    $hex = bin2hex(random_bytes(16));

    return sprintf('%s-%s-4%s-8%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 13, 3), substr($hex, 17, 3), substr($hex, 20));
}

/**
 * All at once; how long each took, in ms.
 *
 * @param  list<CurlHandle>  $handles
 * @return list<float>
 */
function together(array $handles): array
{
    $multi = curl_multi_init();
    foreach ($handles as $handle) {
        curl_multi_add_handle($multi, $handle);
    }
    do {
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.05);
    } while ($running > 0);

    return array_map(static function (CurlHandle $handle): float {
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        if ($status !== 200) {
            throw new RuntimeException("Answered {$status}: ".curl_multi_getcontent($handle));
        }

        return curl_getinfo($handle, CURLINFO_TOTAL_TIME) * 1000;
    }, $handles);
}

/**
 * @param  list<float>  $times
 * @return array{float, float, float}
 */
function told(array $times): array
{
    sort($times);
    $n = count($times);

    return [$times[intdiv($n, 2)], $times[(int) ($n * 0.95)], $times[$n - 1]];
}

$server = new Server(Server::freePort(), ['APP_CONFIG_CACHE' => '.runtime/bench/config.php', 'APP_ROUTES_CACHE' => '.runtime/bench/routes.php'] + Server::environment(), 'bench/router.php');
$server->artisan('migrate:fresh', '--force');
$server->artisan('workshop:begin', '--demo');
$server->artisan('config:cache');
$server->database()->exec('create table bench_rows (id char(36) primary key, body text)');
$server->start();

$clients = array_map(static function (array $person) use ($server): HttpClient {
    $client = new HttpClient($server->url);
    $client->signIn($person[0], $person[1]);

    return $client;
}, PEOPLE);

/** @return list<string> a fresh job for each, closed by a tag when its turn is over */
$open = static fn (): array => array_map(static function (HttpClient $client, array $person): string {
    [$status, $job] = $client->send('POST', "machines/{$person[2]}/jobs", ['id' => uuid(), 'control' => 'clutch']);
    if ($status !== 201) {
        throw new RuntimeException((string) json_encode($job));
    }
    $client->send('POST', "jobs/{$job['id']}/entries", ['id' => uuid(), 'at' => date('c'), 'line' => 'cold', 'shown' => ['item' => 'condition']]);

    return $job['id'];
}, $clients, PEOPLE);
$close = static function (array $jobs) use ($clients): void {
    foreach ($jobs as $n => $job) {
        $clients[$n]->send('POST', "jobs/{$job}/entries", ['id' => uuid(), 'at' => date('c'), 'line' => 'tag end of the run']);
        $clients[$n]->send('POST', "jobs/{$job}/entries", ['id' => uuid(), 'at' => date('c'), 'kind' => 'closed', 'body' => ['outcome' => 'tagged']]);
    }
};

$times = ['reading' => [], 'bare' => []];
for ($turn = 0; $turn < JOBS; $turn++) {
    $jobs = $open();
    for ($round = $turn === 0 ? -WARM_UP : 0; $round < ROUNDS_A_JOB; $round++) {
        $line = (string) (12 + abs($round) % 5);
        $readings = array_map(static fn (HttpClient $client, string $job): CurlHandle => $client->handle('POST', "jobs/{$job}/entries", [
            'id' => uuid(), 'at' => date('c'), 'line' => $line, 'shown' => ['item' => 'in_band', 'instrument' => 'rule-300'],
        ]), $clients, $jobs);
        $bares = array_map(static fn (HttpClient $client): CurlHandle => $client->handle('POST', 'bare', ['id' => uuid(), 'at' => date('c'), 'line' => $line]), $clients);
        foreach ($round % 2 === 0 ? ['reading' => $readings, 'bare' => $bares] : ['bare' => $bares, 'reading' => $readings] as $which => $handles) {
            $took = together($handles);
            $times[$which] = $round < 0 ? [] : [...$times[$which], ...$took];
        }
    }
    $close($jobs);
}
$server->stop();

printf("PHP %s, four people at once, %d jobs of %d readings, in turns with the bare route, after %d to warm up\n", PHP_VERSION, JOBS, ROUNDS_A_JOB, WARM_UP);
foreach ($times as $which => $took) {
    printf("%-8s median %6.1f ms   p95 %6.1f ms   most %6.1f ms\n", $which, ...told($took));
}
printf("p95 of a reading is %.2f times that of the bare route (at most 2)\n", told($times['reading'])[1] / told($times['bare'])[1]);
