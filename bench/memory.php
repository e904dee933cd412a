<?php

declare(strict_types=1);

/*
 * The machine page and the searches over a shop of 20,000 readings and over one of 2,000,000, each against the bare
 * route of the same run. Run by hand: bin/bench memory
 */

require __DIR__.'/../vendor/autoload.php';

use Tests\Support\HttpClient;
use Tests\Support\Server;

const SMALL = 50;
const LARGE = 5000;
const JOBS = 20;
const READINGS = 10;
const ROUNDS = 150;
const WARM_UP = 15;

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

/** A UUID that the same words always have, as the database makes it. */
function made(string $words): string
{
    $hex = "md5({$words})";

    return "concat(left({$hex}, 8), '-', substr({$hex}, 9, 4), '-4', substr({$hex}, 14, 3), '-8', substr({$hex}, 18, 3), '-', right({$hex}, 12))";
}

/** Machines FROM to TO, each with two controls, their jobs and their readings. */
function fill(PDO $database, int $from, int $to): void
{
    $seq = "seq_{$from}_to_{$to}";
    $jobs = 'seq_1_to_'.JOBS;
    $job = made("concat('job', c.id, '-', j.seq)");
    $visit = made("concat('visit', c.id, '-', j.seq)");
    $at = "date_sub('2026-11-01 09:00:00', interval (".JOBS.' - j.seq) * 30 day)';
    $record = "concat('{\"record\":{\"engine\":\"1.2.0\",\"point\":\"lever_tip\",\"spec\":\"10 to 20 mm at the lever tip\",\"source\":\"Bench\",\"found\":{\"mm\":', 11 + (c.id + j.seq) % 3, ',\"standard_mm\":0.25,\"expanded_mm\":0.5,\"engine\":\"cold\",\"verdict\":\"inside\"},\"left\":{\"mm\":15.2,\"standard_mm\":0.25,\"expanded_mm\":0.5,\"engine\":\"cold\",\"verdict\":\"inside\"},\"parts\":[]},\"outcome\":\"fit\"}')";
    $reading = "concat('{\"mm\":', 11 + r.seq / 10, ',\"entered\":\"', 11 + r.seq / 10, '\",\"point\":\"lever_tip\",\"pose\":\"straight\",\"engine\":\"cold\",\"wheels\":\"on_ground\",\"instrument\":\"rule-300\"}')";
    $of = "from controls c join {$jobs} j join machines m on m.id = c.machine_id where m.tag like 'B-%' and m.usage_before = 0 and c.created_at is null";
    $entry = static fn (
        string $id,
        string $seqno,
        string $kind,
        string $body,
        string $more,
    ): string => 'insert into entries (id, visit_id, seq, job_id, kind, body, line, at, at_utc, received_at, user_id, `by`, after, digest) select '
        .made("concat('{$id}', c.id, '-', j.seq".($more === '' ? '' : ", '-', r.seq").')')
            .", {$visit}, {$seqno}, {$job}, '{$kind}', {$body}, null, date_format({$at}, '%Y-%m-%dT%T+00:00'), {$at}, {$at}, 1, '{\"id\":\"ines\",\"name\":\"Ines\",\"role\":\"technician\"}', null, md5('x') from controls c join {$jobs} j {$more} join machines m on m.id = c.machine_id where m.tag like 'B-%' and c.created_at is null";
    $database->exec(
        "insert into machines (tag, name, kind, year, place, usage_reading, usage_unit) select concat('B-', lpad(seq, 5, '0')), concat('Bench Model ', seq % 700), 'bench machine', 2020, 'hall', 60000, 'km' from {$seq}",
    );
    $database->exec(
        "insert into spec_versions (model, control, version, body, name, minutes, checked_at) select concat('Bench Model ', s.seq), 'clutch', 1, v.body, 'Clutch lever', 12, now() from {$seq} s join (select body from spec_versions where model = 'Tolvane Ridge 300' and control = 'clutch' and version = 1) v",
    );
    $database->exec("insert into controls (machine_id, spec_version_id, `key`, name, run, minutes) select m.id, v.spec_version_id, k.k, v.name, v.run, 12 from machines m join (select 'clutch' k union select 'second') k
        join (select c.spec_version_id, c.name, c.run from controls c join machines t on t.id = c.machine_id where t.tag = 'RT-14' and c.`key` = 'clutch') v where m.tag between concat('B-', lpad({$from}, 5, '0')) and concat('B-', lpad({$to}, 5, '0'))");
    $database->exec(
        "insert into visits (id, machine_id, opened_at, closed_at) select {$visit}, m.id, {$at}, {$at} {$of}",
    );
    $database->exec("insert into control_jobs (id, visit_id, control_id, spec_version_id, frame, usage_reading, opened_at, closed_at) select {$job}, {$visit}, c.id, c.spec_version_id, concat('{\"spec\":', v.body, ',\"run\":', c.run, '}'), 1000 * j.seq, {$at}, {$at}
        from controls c join {$jobs} j join machines m on m.id = c.machine_id join spec_versions v on v.id = c.spec_version_id where m.tag like 'B-%' and c.created_at is null");
    $database->exec($entry('opened', '1', 'opened', "'{\"control\":\"bench\",\"standing\":{\"shelf\":[]}}'", ''));
    $database->exec($entry('reading', '1 + r.seq', 'reading', $reading, 'join seq_1_to_'.READINGS.' r'));
    $database->exec($entry('closed', (string) (2 + READINGS), 'closed', $record, ''));
    $database->exec(
        "update controls c join machines m on m.id = c.machine_id set c.created_at = now(), c.summary = concat('{\"job\":\"x\",\"at\":\"2026-11-01T09:00:00+00:00\",\"by\":\"Ines\",\"outcome\":\"fit\",\"record\":{\"left\":{\"mm\":15.2}},\"tag\":null}'), c.due_on = '2027-03-01' where m.tag like 'B-%' and c.created_at is null",
    );
    $analysed = $database->query('analyze table entries, control_jobs, controls, machines, visits, spec_versions');
    $analysed === false ? throw new RuntimeException('Not analysed.') : $analysed->fetchAll();
}

/** @param  list<float>  $times */
function p95(array $times): float
{
    sort($times);

    return $times[(int) (count($times) * 0.95)];
}

/** @return array<string, list<float>> */
function measure(HttpClient $client, int $machines): array
{
    $times = ['bare' => [], 'machine' => [], 'find machine' => [], 'find spec' => [], 'bench' => []];
    for ($round = -WARM_UP; $round < ROUNDS; $round++) {
        $n = random_int(1, $machines);
        $asks = [
            'bare' => static fn (): array => $client->send(
                'POST',
                'bare',
                ['id' => uuid(), 'at' => date('c'), 'line' => '4.2'],
            ),
            'machine' => static fn (): array => $client->send('GET', sprintf('machines/B-%05d', $n)),
            'find machine' => static fn (): array => $client->send(
                'GET',
                'machines?find='.sprintf('B-%03d', intdiv($n, 10)),
            ),
            'find spec' => static fn (): array => $client->send('GET', 'specs?find='.rawurlencode("model {$n} clutch")),
            'bench' => static fn (): array => $client->send('GET', 'bench'),
        ];
        foreach ($round % 2 === 0 ? $asks : array_reverse($asks, true) as $what => $ask) {
            $begun = hrtime(true);
            [$status] = $ask();
            if ($status !== 200) {
                throw new RuntimeException("{$what} answered {$status}");
            }
            if ($round >= 0) {
                $times[$what][] = (hrtime(true) - $begun) / 1e6;
            }
        }
    }

    return $times;
}

$server = new Server(
    Server::freePort(),
    ['APP_CONFIG_CACHE' => '.runtime/bench/config.php', 'APP_ROUTES_CACHE' => '.runtime/bench/routes.php']
        + Server::environment(),
    'bench/router.php',
);
$server->artisan('migrate:fresh', '--force');
$server->artisan('workshop:begin', '--demo');
$server->artisan('config:cache');
$database = $server->database();
$database->exec('create table bench_rows (id char(36) primary key, body text)');
$server->start();
$client = new HttpClient($server->url);
$client->signIn('ines', 'ferry-bell-42');

fill($database, 1, SMALL);
$small = measure($client, SMALL);
$begun = hrtime(true);
fill($database, SMALL + 1, LARGE);
$readings = $database->query("select count(*) from entries where kind = 'reading'");
printf(
    "Filled to %s readings in %d s\n",
    number_format($readings === false ? 0 : (int) $readings->fetchColumn()),
    (hrtime(true) - $begun) / 1e9,
);
$large = measure($client, LARGE);
$server->stop();

printf(
    "PHP %s, %d rounds in turns after %d to warm up; %s and %s readings\n",
    PHP_VERSION,
    ROUNDS,
    WARM_UP,
    number_format(SMALL * 2 * JOBS * READINGS),
    number_format(LARGE * 2 * JOBS * READINGS),
);
foreach ([
    'bare' => null,
    'machine' => 4.0,
    'find machine' => 3.0,
    'find spec' => 3.0,
    'bench' => null,
] as $what => $most) {
    printf(
        "%-13s p95 %7.1f ms small, %7.1f ms large; %5.2f times the bare route%s; %5.2f times its own%s\n",
        $what,
        p95($small[$what]),
        p95($large[$what]),
        p95($large[$what]) / p95($large['bare']),
        $most === null ? '' : " (at most {$most})",
        p95($large[$what]) / p95($small[$what]),
        $most === null ? '' : ' (at most 1.5)',
    );
}
