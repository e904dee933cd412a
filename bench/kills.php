<?php

declare(strict_types=1);

// A workshop of its own, three people who log and one whose network comes and goes, while one process after another is
// killed by force. Afterwards: nothing that was acknowledged is missing, twice, out of order or under another name, and
// all came back without a hand.

use Database\Demo\DemoPeople;
use Symfony\Component\Process\Process;
use Tests\Support\HttpClient;
use Tests\Support\Server;

require __DIR__.'/../vendor/autoload.php';

const PEOPLE = [
    'ines' => ['RT-14', 'clutch'],
    'tomas' => ['QB-03', 'throttle'],
    'oda' => ['TM-06', 'trigger'],
    'mirre' => ['MW-04', 'drive'],
];
const COMES_AND_GOES = 'mirre';
const LONGEST_S = 20.0;
const STEADY_S = 1.3;

$kills = (int) ($argv[1] ?? 100);
$root = dirname(__DIR__);
$folder = sys_get_temp_dir().'/vivid-pull-trial-'.bin2hex(random_bytes(4));
mkdir($folder, 0o711);
$port = Server::freePort();
$url = "http://127.0.0.1:{$port}";
$workshop = new Process(['bin/start', '--port', (string) $port], $root, ['VIVID_PULL_DATA' => $folder], null, null);
$workshop->start();

/** Asks until it was answered for a while without a break; seconds until the last question that was not answered. */
function back(string $url): float
{
    [$begun, $good] = [microtime(true), microtime(true)];
    do {
        $handle = curl_init("{$url}/api/session");
        assert($handle !== false);
        curl_setopt_array(
            $handle,
            [
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_TIMEOUT_MS => 1500,
                CURLOPT_HTTPHEADER => ['Accept: application/json'],
            ],
        );
        curl_exec($handle);
        if (curl_getinfo($handle, CURLINFO_RESPONSE_CODE) !== 200) {
            $good = microtime(true);
        }
        usleep(20_000);
        // A keeper that was killed is missed only by the next look.
        if (microtime(true) - $good > STEADY_S) {
            return $good - $begun;
        }
    } while (microtime(true) - $begun < LONGEST_S * 10);
    fwrite(STDERR, "It did not come back.\n");
    exit(1);
}

/** @return list<array<string, string>> */
function rows(PDO $database, string $query): array
{
    $asked = $database->query($query);

    return $asked === false ? [] : array_values($asked->fetchAll(PDO::FETCH_ASSOC));
}

/**
 * One person: what is typed is kept until it is acknowledged, and sent in order, the same id again where no answer
 * came.
 */
function person(string $url, string $login, string $folder): never
{
    [$tag, $control] = PEOPLE[$login];
    $client = new HttpClient($url);
    $client->signIn($login, array_column(DemoPeople::ALL, 3, 0)[$login]);
    $job = sprintf('7e57%04x-2222-4333-8444-%012d', crc32($login) & 0xFFFF, 1);
    [, $answer] = $client->send('POST', "machines/{$tag}/jobs", ['id' => $job, 'control' => $control]);
    if (! isset($answer['state'])) {
        foreach ((array) $client->send('GET', "machines/{$tag}")[1]['controls'] as $one) {
            $job = $one['key'] === $control ? $one['job'] : $job;
        }
        [, $answer] = $client->send('GET', "jobs/{$job}");
        $client->send(
            'POST',
            "jobs/{$job}/entries",
            [
                'id' => sprintf('7e57%04x-2222-4333-8444-%012d', crc32($login) & 0xFFFF, 2),
                'at' => date('c'),
                'after' => $answer['state']['head'],
                'kind' => 'joined',
                'body' => new stdClass,
            ],
        );
    }
    $head = $answer['state']['head'];
    $told = "{$folder}/{$login}.acknowledged";
    $outbox = [];
    for ($n = 10; ; $n++) {
        $isOver = is_file("{$folder}/over");
        if (! $isOver) {
            $outbox[] = [
                'id' => sprintf('7e57%04x-2222-4333-8444-%012d', crc32($login) & 0xFFFF, $n),
                'at' => date('c'),
                'line' => "n {$login} {$n}",
                'shown' => new stdClass,
            ];
        }
        // Without a network for two seconds of every four.
        $isAway = $login === COMES_AND_GOES && ! $isOver && (int) (microtime(true) / 2) % 2 === 0;
        while ($outbox !== [] && ! $isAway) {
            try {
                [$status, $answer] = $client->send('POST', "jobs/{$job}/entries", $outbox[0] + ['after' => $head]);
            } catch (RuntimeException) {
                $status = 0;
            }
            if ($status !== 200) {
                if (in_array($status, [401, 403, 404, 409, 422], true)) {
                    file_put_contents($told, "refused {$status} ".json_encode($answer)."\n", FILE_APPEND);
                }
                usleep(50_000);

                continue;
            }
            $head = $answer['state']['head'];
            file_put_contents($told, "{$job} {$outbox[0]['id']}\n", FILE_APPEND);
            array_shift($outbox);
        }
        if ($isOver && $outbox === []) {
            // Without a word: what this process was forked from must not be torn down by it.
            posix_kill(posix_getpid(), SIGKILL);
        }
        // Faster than anybody types, and slow enough that a job's log stays as long as a job's is.
        usleep(400_000);
    }
}

try {
    back($url);
    $children = [];
    foreach (array_keys(PEOPLE) as $login) {
        $pid = pcntl_fork();
        if ($pid === 0) {
            person($url, $login, $folder);
        }
        $children[] = $pid;
    }
    sleep(3);
    $targets = [
        'database' => "mariadbd .*--datadir={$folder}", 'application' => "php-fpm: master process \\({$folder}",
        'one of the application' => 'php-fpm: pool workshop',
        'web server' => "nginx: master process .*{$folder}", 'worker' => 'artisan queue:work',
        'keeper of the database' => "bin/keep database {$folder}",
        'keeper of the application' => "bin/keep application {$folder}",
        'keeper of the web server' => "bin/keep web server {$folder}",
        'keeper of the worker' => "bin/keep worker {$folder}",
    ];
    $took = array_fill_keys(array_keys($targets), []);
    mt_srand(20261127);
    for ($n = 0; $n < $kills; $n++) {
        $what = array_keys($targets)[mt_rand(0, count($targets) - 1)];
        $pids = explode("\n", trim((string) shell_exec('pgrep -f '.escapeshellarg($targets[$what]))));
        $pids = array_values(array_filter(
            $pids,
            static fn (string $pid): bool => $pid !== ''
                && (int) $pid !== getmypid()
                && ! str_contains((string) @file_get_contents("/proc/{$pid}/cmdline"), 'pgrep'),
        ));
        if ($pids === []) {
            $n--;
            usleep(100_000);

            continue;
        }
        posix_kill((int) $pids[mt_rand(0, count($pids) - 1)], SIGKILL);
        usleep(5_000);
        $took[$what][] = back($url);
        usleep(mt_rand(50_000, 500_000));
    }
    touch("{$folder}/over");
    foreach ($children as $child) {
        pcntl_waitpid($child, $status);
    }
    $env = parse_ini_file("{$folder}/env", false, INI_SCANNER_RAW);
    assert(is_array($env));
    $database = new PDO(
        'mysql:host=127.0.0.1;dbname=vivid_pull;port='.trim((string) file_get_contents("{$folder}/workshop/port")),
        'vivid_pull',
        $env['DB_PASSWORD'],
    );
    [$acknowledged, $missing, $order, $names, $refused] = [0, 0, 0, 0, 0];
    foreach (array_keys(PEOPLE) as $login) {
        $said = explode("\n", trim((string) file_get_contents("{$folder}/{$login}.acknowledged")));
        $bad = array_filter($said, static fn (string $line): bool => str_starts_with($line, 'refused'));
        $refused += count($bad);
        $ids = array_map(
            static fn (string $line): string => explode(' ', $line)[1] ?? '',
            array_values(array_diff_key($said, $bad)),
        );
        $acknowledged += count($ids);
        $rows = rows(
            $database,
            "select e.id, u.login, e.line from entries e join users u on u.id = e.user_id where e.line like 'n {$login} %' order by e.visit_id, e.seq",
        );
        $there = array_column($rows, 'id');
        $missing += count(array_diff($ids, $there));
        $order += $there === $ids ? 0 : 1;
        $names += count(array_filter($rows, static fn (array $row): bool => $row['login'] !== $login));
    }
    $twice = (int) rows($database, 'select count(*) - count(distinct id) as twice from entries')[0]['twice'];
    printf(
        "%d kills by force while three people log and one comes and goes: %d entries acknowledged, %d missing, %d twice, %d people out of order, %d under another name, %d refused.\n",
        $kills,
        $acknowledged,
        $missing,
        $twice,
        $order,
        $names,
        $refused,
    );
    $longest = 0.0;
    foreach ($took as $what => $all) {
        sort($all);
        $longest = max($longest, ...($all === [] ? [0.0] : $all));
        printf(
            "  %-28s %3d times, answered again after %.2f s in the middle, %.2f s at most\n",
            $what,
            count($all),
            $all === [] ? 0 : $all[intdiv(count($all), 2)],
            $all === [] ? 0 : end($all),
        );
    }
    $verify = new Process(['bin/verify'], $root, ['VIVID_PULL_DATA' => $folder], null, 120);
    $verify->run();
    echo trim($verify->getOutput()), "\n";
    $good = $missing + $twice + $order + $names + $refused === 0 && $verify->isSuccessful() && $longest <= 2.0;
} finally {
    $workshop->stop(30);
    (new Process(['rm', '-rf', $folder]))->run();
}
exit($good ? 0 : 1);
