<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Ramsey\Uuid\Uuid;
use Symfony\Component\Process\Process;
use Tests\Support\HttpClient;
use Tests\Support\Scripts;
use Tests\Support\Server;

/** A disk that is really full, under a real database: a small one in memory, filled to its last block. */
final class FullDiskTest extends TestCase
{
    use Scripts;

    private string $disk;

    private ?Server $server = null;

    protected function setUp(): void
    {
        $this->disk = sys_get_temp_dir().'/vp-disk-'.bin2hex(random_bytes(5));
        mkdir($this->disk, 0755);
        if ((new Process(['mount', '-t', 'tmpfs', '-o', 'size=160m', 'tmpfs', $this->disk]))->run() !== 0) {
            rmdir($this->disk);
            self::markTestSkipped('Only who may mount a disk can fill one; run the tests as root.');
        }
    }

    protected function tearDown(): void
    {
        $this->server?->stop();
        (new Process([
            'bash',
            '-c',
            "kill \"\$(cat {$this->disk}/workshop/mariadb.pid)\"; for i in \$(seq 50); do umount {$this->disk} && break; sleep 0.2; done; rmdir {$this->disk}",
        ]))->run();
    }

    public function test_what_was_acknowledged_is_there_and_what_was_not_goes_out_again(): void
    {
        $client = $this->workshop();
        $job = self::id();
        self::assertSame(201, $client->send('POST', 'machines/RT-20/jobs', ['id' => $job, 'control' => 'clutch'])[0]);
        $this->fill();

        [$acknowledged, $refused] = [[], null];
        for ($n = 0; $n < 3000 && $refused === null; $n++) {
            $note = self::note(str_repeat('All that was seen. ', 25));
            [$status, $answer] = $client->send('POST', "jobs/{$job}/entries", $note);
            if ($status === 200) {
                $acknowledged[] = $note['id'];
            } else {
                self::assertSame(
                    [
                        507,
                        'The disk of the workshop server is full. Nothing was lost: what you typed is kept here and goes out once there is room.',
                    ],
                    [$status, $answer['detail'] ?? ''],
                );
                $refused = $note;
            }
        }
        self::assertNotNull($refused, 'the disk was never full');
        self::assertSame(200, $client->send('GET', 'machines/RT-20')[0], 'looking things up goes on');
        self::assertStringContainsString(
            'is the disk full? Nothing of it was kept',
            self::script($this->disk, "bin/backup {$this->disk}/backups", 1),
        );
        self::assertSame([], glob("{$this->disk}/backups/*"));

        unlink("{$this->disk}/ballast");
        [$status, $after] = $client->send('POST', "jobs/{$job}/entries", $refused);
        self::assertSame(200, $status, 'with room again, the same entry under the same id');
        $log = array_column($after['state']['log'], 'id');
        self::assertSame([], array_diff([...$acknowledged, $refused['id']], $log));
        self::assertCount(count($acknowledged) + 2, $log, 'nothing stands twice and nothing by half');
    }

    private function workshop(): HttpClient
    {
        self::script($this->disk, '. bin/lib.sh; new_secrets; set -a; . "$DATA/env"; set +a
            start_mariadb "$DATA/workshop" 3717 --innodb-log-file-size=8M; echo "$DB_PORT" >"$DATA/workshop/port"; echo "$DB_PID" >"$DATA/workshop/pid"
            use_workshop; make_database vivid_pull "$DB_PASSWORD"; . tests/Support/demo.sh; fill_with_demo');
        $secrets = (array) parse_ini_file("{$this->disk}/env", false, INI_SCANNER_RAW);
        $this->server = new Server(
            Server::freePort(),
            [
                'APP_KEY' => (string) $secrets['APP_KEY'],
                'DB_PORT' => trim((string) file_get_contents("{$this->disk}/workshop/port")),
                'DB_DATABASE' => 'vivid_pull',
                'DB_USERNAME' => 'vivid_pull',
                'DB_PASSWORD' => (string) $secrets['DB_PASSWORD'],
            ]
                + Server::environment(),
        );
        $this->server->start();
        $client = new HttpClient($this->server->url);
        $client->signIn('ines', 'ferry-bell-42');

        return $client;
    }

    /** To the last block, and past it. */
    private function fill(): void
    {
        (new Process(['dd', 'if=/dev/zero', "of={$this->disk}/ballast", 'bs=4k'], null, null, null, 60))->run();
        self::assertSame(0.0, disk_free_space($this->disk));
    }

    /** @return array{id: string, at: string, kind: string, body: array{text: string}} */
    private static function note(string $text): array
    {
        return ['id' => self::id(), 'at' => date('c'), 'kind' => 'note', 'body' => ['text' => $text]];
    }

    private static function id(): string
    {
        return Uuid::uuid4()->toString();
    }
}
