<?php

declare(strict_types=1);

/*
 * A reading logged and answered with the whole new state, against a bare route with session, token and one insert: in
 * turns, in one run, served by nginx and php-fpm as bin/start serves, by 1, 4, 16 and 64 people at once. Run by hand:
 * bin/bench logging
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Support\HttpClient;
use Tests\Support\Served;
use Tests\Support\Server;

/**
 * People at once, how many rounds each logs in a job, and in how many jobs: no job's log grows longer than a job's is.
 */
const LEVELS = [1 => [30, 4], 4 => [30, 3], 16 => [20, 3], 64 => [5, 4]];
const WARM_UP = 8;
const PEOPLE = [['ines', 'ferry-bell-42'], ['tomas', 'dune-grass-17'], ['oda', 'harbour-lamp-9']];

function uuid(): string
{
    $hex = bin2hex(random_bytes(16));

    return sprintf(
        '%s-%s-4%s-8%s-%s',
        substr($hex, 0, 8),
        substr($hex, 8, 4),
        substr($hex, 13, 3),
        substr($hex, 17, 3),
        substr($hex, 20),
    );
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

$server = new Server(Server::freePort(), Server::environment());
$server->artisan('migrate:fresh', '--force');
$server->artisan('workshop:begin', '--demo');
$server->database()->exec('create table bench_rows (id char(36) primary key, body text)');
$served = Served::itself(Server::environment(), __DIR__.'/router.php');
$signedIn = array_map(static function (array $person) use ($served): array {
    $client = new HttpClient($served->plain);
    $client->signIn(...$person);

    return $client->cookies();
}, PEOPLE);
// One machine a person, as at a bench: nobody waits for another's log.
$lead = new HttpClient($served->plain, $signedIn[2]);
$machines = array_map(static fn (int $n): string => "BN-{$n}", range(100, 99 + max(array_keys(LEVELS))));
foreach ($machines as $tag) {
    [$status] = $lead->send(
        'POST',
        'machines',
        [
            'tag' => $tag, 'plate' => null, 'name' => 'Tolvane Ridge 300', 'kind' => 'trail motorcycle', 'year' => 2026,
            'place' => 'here', 'usage' => 12, 'usage_unit' => 'km',
        ],
    );
    $status === 201 || throw new RuntimeException("A machine for the bench was answered {$status}.");
}

printf("PHP %s, nginx and php-fpm, in turns with the bare route, after %d to warm up\n", PHP_VERSION, WARM_UP);
foreach (LEVELS as $people => [$rounds, $turns]) {
    $clients = array_map(
        static fn (int $n): HttpClient => new HttpClient($served->plain, $signedIn[$n % count($signedIn)]),
        range(0, $people - 1),
    );
    [$times, $jobs, $worked] = [['reading' => [], 'bare' => []], [], 0];
    for ($turn = 0; $turn < $turns; $turn++) {
        $jobs = [];
        foreach (array_slice($machines, 0, $people) as $n => $tag) {
            [, $job] = $clients[$n]->send('POST', "machines/{$tag}/jobs", ['id' => uuid(), 'control' => 'clutch']);
            $clients[$n]->send(
                'POST',
                "jobs/{$job['id']}/entries",
                ['id' => uuid(), 'at' => date('c'), 'line' => 'cold', 'shown' => ['item' => 'condition']],
            );
            $jobs[] = $job['id'];
        }
        for ($round = $turn === 0 ? -WARM_UP : 0; $round < $rounds; $round++) {
            $line = (string) (12 + abs($round) % 5);
            $readings = array_map(
                static fn (HttpClient $client, int $n): CurlHandle => $client->handle(
                    'POST',
                    "jobs/{$jobs[$n]}/entries",
                    [
                        'id' => uuid(),
                        'at' => date('c'),
                        'line' => $line,
                        'shown' => ['item' => 'in_band', 'instrument' => 'rule-300'],
                    ],
                ),
                $clients,
                array_keys($clients),
            );
            $bares = array_map(
                static fn (HttpClient $client): CurlHandle => $client->handle(
                    'POST',
                    'bare',
                    ['id' => uuid(), 'at' => date('c'), 'line' => $line],
                ),
                $clients,
            );
            foreach ($round % 2 === 0 ? [
                'reading' => $readings,
                'bare' => $bares,
            ] : ['bare' => $bares, 'reading' => $readings] as $which => $handles) {
                $took = together($handles);
                $times[$which] = $round < 0 ? [] : [...$times[$which], ...$took];
            }
        }
        $worked += count($jobs);
        foreach ($jobs as $n => $job) {
            $clients[$n]->send(
                'POST',
                "jobs/{$job}/entries",
                ['id' => uuid(), 'at' => date('c'), 'line' => 'tag end of the run'],
            );
            $head = $clients[$n]->send('GET', "jobs/{$job}")[1]['state']['head'];
            $clients[$n]->send(
                'POST',
                "jobs/{$job}/entries",
                [
                    'id' => uuid(),
                    'at' => date('c'),
                    'after' => $head,
                    'kind' => 'closed',
                    'body' => ['outcome' => 'tagged'],
                ],
            );
        }
    }
    printf("%d at once, %d jobs\n", $people, $worked);
    foreach ($times as $which => $took) {
        printf("  %-8s median %6.1f ms   p95 %6.1f ms   most %6.1f ms\n", $which, ...told($took));
    }
    printf(
        "  p95 of a reading is %.2f times that of the bare route (at most 2)\n",
        told($times['reading'])[1] / told($times['bare'])[1],
    );
}
$served->end();
