<?php

declare(strict_types=1);

/*
 * From the button of a simulated caliper to the screen that listens: over a pseudo terminal, the real bridge, nginx and
 * php-fpm as bin/start serves, and the stream that a screen has open. Run by hand: bin/bench gauges
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Support\GaugeBench;
use Tests\Support\HttpClient;
use Tests\Support\Served;
use Tests\Support\Server;

const PRESSES = 40;
const MOST_MS = 300.0;

$server = new Server(Server::freePort(), Server::environment());
$server->fillWithDemo();
$served = Served::itself(Server::environment(), dirname(__DIR__).'/public/index.php');
$lead = new HttpClient($served->plain);
$lead->signIn('oda', 'harbour-lamp-9');
$ines = new HttpClient($served->plain);
$ines->signIn('ines', 'ferry-bell-42');
$tag = $server->machineLike('RT-20', 'ZG-40');
$id = 'be7c0000-2222-4333-8444-000000000001';
$ines->send('POST', "machines/{$tag}/jobs", ['id' => $id, 'control' => 'clutch']);
$bench = new GaugeBench($served->plain, $lead, 'Bench of benches');
$ines->send('PUT', "jobs/{$id}/gauges/caliper-1");
$multi = curl_multi_init();
$stream = $ines->handle('GET', "jobs/{$id}/gauges/stream");
curl_setopt($stream, CURLOPT_TIMEOUT, 150);
/** @var ArrayObject<int, float> $heard when each was told */
$heard = new ArrayObject;
curl_setopt($stream, CURLOPT_WRITEFUNCTION, static function ($of, string $piece) use ($heard): int {
    if (str_contains($piece, 'event: reading')) {
        $heard->append(microtime(true));
    }

    return strlen($piece);
});
curl_multi_add_handle($multi, $stream);
$listen = static function (float $seconds, int $until) use ($multi, $heard): void {
    for ($ends = microtime(true) + $seconds; microtime(true) < $ends && count($heard) < $until;) {
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.002);
    }
};
$listen(2.0, PHP_INT_MAX);
$took = [];
for ($n = 0; $n < PRESSES; $n++) {
    $bench->do('press '.(10 + $n / 10));
    $pressed = $bench->last;
    $listen(3.0, $n + 1);
    $took[] = 1000.0 * (($heard[$n] ?? throw new RuntimeException('A press was never told.')) - $pressed);
}
$bench->end();
$served->end();
sort($took);
[$middle, $p95, $worst] = [$took[intdiv(PRESSES, 2)], $took[(int) (PRESSES * 0.95)], $took[PRESSES - 1]];
printf(
    "%d presses of a button, to the screen's stream: median %.0f ms, p95 %.0f ms, worst %.0f ms (at most %.0f)\n",
    PRESSES,
    $middle,
    $p95,
    $worst,
    MOST_MS,
);
exit($p95 <= MOST_MS ? 0 : 1);
