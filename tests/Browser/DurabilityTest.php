<?php

declare(strict_types=1);

namespace Tests\Browser;

use CurlHandle;
use PDO;
use PHPUnit\Framework\TestCase;
use stdClass;
use Symfony\Component\Process\Process;
use Tests\Support\HttpClient;
use Tests\Support\Server;

/** Acknowledged means committed, whatever happens to the database or how often an entry is sent. */
final class DurabilityTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    public function test_eight_parallel_posts_of_one_id_write_one_row(): void
    {
        $server = Server::withDemo();
        [$client, $job, $head] = self::openJob($server->url, 'SC-08', 'throttle');
        $entry = [
            'id' => '11111111-2222-4333-8444-555555555555',
            'at' => date('c'),
            'after' => $head,
            'line' => 'n eight times',
            'shown' => new stdClass,
        ];
        $multi = curl_multi_init();
        $handles = array_map(
            static fn (): CurlHandle => $client->handle('POST', "jobs/{$job}/entries", $entry),
            range(1, 8),
        );
        array_walk($handles, static fn (CurlHandle $handle): int => curl_multi_add_handle($multi, $handle));
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.1);
        } while ($running > 0);
        self::assertSame(
            [200],
            array_values(array_unique(array_map(
                static fn (CurlHandle $handle): int => curl_getinfo($handle, CURLINFO_RESPONSE_CODE),
                $handles,
            ))),
        );
        $query = $server->database()->prepare('select count(*) from entries where id = ?');
        $query->execute([$entry['id']]);
        self::assertSame(1, (int) $query->fetchColumn());
    }

    public function test_a_database_killed_after_an_answer_has_lost_nothing(): void
    {
        $folder = sys_get_temp_dir().'/vivid-pull-durability-'.bin2hex(random_bytes(4));
        $port = Server::freePort();
        $database = self::database($folder, $port, true);
        $env = ['DB_PORT' => (string) $port, 'DB_DATABASE' => 'mysql', 'DB_USERNAME' => 'root', 'DB_PASSWORD' => '']
            + Server::environment();
        $pdo = new PDO("mysql:unix_socket={$folder}/s.sock", 'root', '');
        $pdo->exec(
            "create database vivid_pull; create user 'v'@'127.0.0.1' identified by 'v'; grant all on vivid_pull.* to 'v'@'127.0.0.1'",
        );
        $server = new Server(
            Server::freePort(),
            ['DB_DATABASE' => 'vivid_pull', 'DB_USERNAME' => 'v', 'DB_PASSWORD' => 'v'] + $env,
        );
        $server->fillWithDemo();
        $server->start();
        try {
            [$client, $job, $head] = self::openJob($server->url, 'RT-20', 'throttle');
            [$status, $body] = $client->send(
                'POST',
                "jobs/{$job}/entries",
                [
                    'id' => '99999999-2222-4333-8444-555555555555',
                    'at' => date('c'),
                    'after' => $head,
                    'line' => 'n the last word',
                ],
            );
            self::assertSame(200, $status, (string) json_encode($body));
            posix_kill((int) file_get_contents("{$folder}/pid"), SIGKILL);
            usleep(300_000);
            [$status, $body] = $client->send('GET', "jobs/{$job}");
            self::assertSame(500, $status, 'with no database there is a sentence and no trace');
            self::assertStringNotContainsString('SQLSTATE', (string) json_encode($body));
            $database = self::database($folder, $port, false);
            [$status, $body] = $client->send('GET', "jobs/{$job}");
            self::assertSame(200, $status);
            self::assertSame('the last word', $body['state']['log'][count($body['state']['log']) - 1]['what']);
        } finally {
            $server->stop();
            posix_kill((int) @file_get_contents("{$folder}/pid"), SIGKILL);
            $database->stop(0);
            (new Process(['rm', '-rf', $folder]))->run();
        }
    }

    public function test_a_change_from_another_site_is_refused(): void
    {
        $server = Server::withDemo();
        $client = new HttpClient($server->url);
        $client->signIn('ines', 'ferry-bell-42');
        $forged = $client->handle('POST', 'machines/RT-02/jobs', []);
        curl_setopt($forged, CURLOPT_HTTPHEADER, ['Content-Type: application/json']);
        curl_exec($forged);
        self::assertSame(419, curl_getinfo($forged, CURLINFO_RESPONSE_CODE));
    }

    /** @return array{HttpClient, string, string} the client, the job, and its newest entry */
    private static function openJob(string $url, string $tag, string $control): array
    {
        $client = new HttpClient($url);
        $client->signIn('oda', 'harbour-lamp-9');
        $id = sprintf('%08x-0000-4000-8000-%012x', random_int(0, 0xFFFFFFFF), random_int(0, 0xFFFFFFFFFF));
        [$status, $body] = $client->send('POST', "machines/{$tag}/jobs", ['id' => $id, 'control' => $control]);
        self::assertSame(201, $status, (string) json_encode($body));

        return [$client, $id, $body['state']['head']];
    }

    /** A database that commits to disk before it answers, as `bin/start` runs it. */
    private static function database(string $folder, int $port, bool $install): Process
    {
        $user = posix_geteuid() === 0 ? 'mysql' : (posix_getpwuid(posix_geteuid())['name'] ?? 'mysql');
        if ($install) {
            mkdir($folder, 0o755);
            chown($folder, $user);
            (new Process(
                [
                    'mariadb-install-db',
                    "--user={$user}",
                    "--datadir={$folder}/data",
                    '--auth-root-authentication-method=normal',
                    '--skip-test-db',
                ],
                timeout: 60,
            ))->mustRun();
        }
        $process = new Process(
            [
                'setsid',
                'mariadbd',
                '--no-defaults',
                "--user={$user}",
                "--datadir={$folder}/data",
                "--socket={$folder}/s.sock",
                "--pid-file={$folder}/pid",
                '--bind-address=127.0.0.1',
                "--port={$port}",
                '--skip-name-resolve',
                '--innodb-buffer-pool-size=64M',
            ],
            self::ROOT,
            timeout: null,
        );
        $process->disableOutput();
        $process->start();
        for ($i = 0; $i < 200; $i++) {
            if ((new Process([
                'mariadb-admin',
                '--no-defaults',
                "--socket={$folder}/s.sock",
                '-uroot',
                'ping',
            ]))->run() === 0) {
                return $process;
            }
            usleep(100_000);
        }
        self::fail('The database did not start.');
    }
}
