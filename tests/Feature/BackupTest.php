<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Problems\Problem;
use Illuminate\Database\QueryException;
use PDOException;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Scripts;

/** Backup and restore, export and import, as the scripts do them: from one server into an empty one, and compared. */
final class BackupTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    use Scripts;

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/vp-'.bin2hex(random_bytes(5));
        mkdir($this->folder, 0755);
    }

    protected function tearDown(): void
    {
        (new Process([
            'bash',
            '-c',
            'for f in '.$this->folder
                .'/*/workshop*/mariadb.pid; do [ -f "$f" ] && kill "$(cat "$f")"; done; sleep 1; rm -rf '.$this->folder,
        ]))->run();
    }

    public function test_a_backup_restored_into_an_empty_server_is_the_same_shop_and_so_is_an_import(): void
    {
        self::script("{$this->folder}/one", <<<'SH'
            . bin/lib.sh; new_secrets; set -a; . "$DATA/env"; set +a
            start_mariadb "$DATA/workshop" 3617; use_workshop; make_database vivid_pull "$DB_PASSWORD"
            . tests/Support/demo.sh; fill_with_demo; stop_mariadb; wait "$DB_PID"
            SH);
        self::assertStringContainsString(
            'Backed up to',
            self::script("{$this->folder}/one", "bin/backup {$this->folder}/backups"),
        );
        self::script("{$this->folder}/one", "bin/export {$this->folder}/one.zip");
        [$backup] = (array) glob("{$this->folder}/backups/*.sql.gz");
        self::script("{$this->folder}/two", "bin/restore {$backup}");
        self::script("{$this->folder}/two", "bin/export {$this->folder}/two.zip");
        self::assertSame(
            hash_file('sha256', "{$this->folder}/one.zip"),
            hash_file('sha256', "{$this->folder}/two.zip"),
            'restored',
        );
        self::assertStringContainsString(
            'this was a preview',
            self::script("{$this->folder}/three", "bin/import {$this->folder}/one.zip --preview"),
        );
        self::assertDirectoryDoesNotExist("{$this->folder}/three/workshop");
        self::assertStringContainsString(
            'shown only now',
            self::script("{$this->folder}/three", "bin/import {$this->folder}/one.zip"),
        );
        self::script("{$this->folder}/three", "bin/export {$this->folder}/three.zip");
        self::assertStringContainsString('each as it was written', self::script("{$this->folder}/three", 'bin/verify'));
        $change = '. bin/lib.sh; open_workshop; mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -u"$DB_USERNAME" -p"$DB_PASSWORD" "$DB_DATABASE" -e "update entries set line = \'5 mm\' where kind = \'reading\' limit 1"; close_workshop';
        self::script("{$this->folder}/three", $change);
        self::assertStringContainsString(
            'This row was altered',
            self::script("{$this->folder}/three", 'bin/verify', 1),
        );
        self::assertSame(
            hash_file('sha256', "{$this->folder}/one.zip"),
            hash_file('sha256', "{$this->folder}/three.zip"),
            'imported',
        );
        $upgrade = <<<'SH'
            . bin/lib.sh; open_workshop; php artisan migrate:rollback --step=1 --force; upgrade_tables
            mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -u"$DB_USERNAME" -p"$DB_PASSWORD" "$DB_DATABASE" -N -e \
                "select concat('due by use: ', count(*) > 0) from controls where due_usage is not null; select concat('neither named, drawn nor checked: ', count(*)) from spec_versions where name = '' or (run is null and id in (select spec_version_id from controls)) or (checked_at is null and json_value(body, '$.source.checked_by') is not null)"
            close_workshop
            SH;
        $said = self::script("{$this->folder}/two", $upgrade);
        self::assertStringContainsString('backing up first', $said);
        self::assertStringContainsString('due by use: 1', $said, 'due dates are found anew');
        self::assertStringContainsString(
            'neither named, drawn nor checked: 0',
            $said,
            'what stood there before goes on in force',
        );
        self::assertCount(
            1,
            (array) glob("{$this->folder}/two/backups/before-upgrade-*.sql.gz"),
            'an upgrade backs up before it changes a table',
        );
        $this->refusals((string) $backup);
    }

    public function test_a_backup_is_read_back_encrypted_and_thinned_out(): void
    {
        $shop = "{$this->folder}/one";
        self::script($shop, <<<'SH'
            . bin/lib.sh; new_secrets; set -a; . "$DATA/env"; set +a
            start_mariadb "$DATA/workshop" 3617; use_workshop; make_database vivid_pull "$DB_PASSWORD"
            php artisan migrate --force && php artisan workshop:begin
            mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -u"$DB_USERNAME" -p"$DB_PASSWORD" "$DB_DATABASE" -e "insert into machines (tag, name, kind, year, usage_reading, usage_unit, place) values ('RT-1', 'x', 'y', 2020, 0, 'h', 'z'); insert into visits (id, machine_id, opened_at) values ('11111111-2222-4333-8444-000000000001', last_insert_id(), now()); insert into entries (id, visit_id, seq, kind, body, user_id, \`by\`, digest, at, at_utc, received_at, chain) select '11111111-2222-4333-8444-000000000002', '11111111-2222-4333-8444-000000000001', 1, 'note', '{}', min(id), '{}', repeat('a', 64), '2026', now(), now(), repeat('b', 64) from users"
            stop_mariadb; wait "$DB_PID"
            SH);
        for ($n = 0; $n < 3; $n++) {
            $said = self::script($shop, "sleep 1.1; bin/backup --to {$this->folder}/kept --keep 2 --encrypt");
            self::assertStringContainsString(
                'Read back into an empty server: 1 visits, each with its last entry.',
                $said,
            );
            self::assertSame($n === 0, str_contains($said, 'Keep a copy of it elsewhere'), 'the key is made once');
        }
        $kept = (array) glob("{$this->folder}/kept/*.age");
        self::assertCount(2, $kept);
        self::assertSame([], glob("{$this->folder}/kept/*.gz"), 'nothing of it lies there unencrypted');
        self::assertSame(
            [],
            array_merge((array) glob("{$shop}/check.*"), (array) glob("{$shop}/opened.*")),
            'nothing is left of the trial',
        );
        self::assertStringContainsString(
            'there is no key at',
            self::script("{$this->folder}/two", "bin/restore {$kept[1]}", 1),
        );
        self::assertStringContainsString(
            'Restored',
            self::script("{$this->folder}/two", "bin/restore {$kept[1]} --key {$shop}/backup-key.txt"),
        );
        $ends = '. bin/lib.sh; open_workshop; mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -u"$DB_USERNAME" -p"$DB_PASSWORD" "$DB_DATABASE" -N -e "select id from entries"; close_workshop';
        self::assertSame('11111111-2222-4333-8444-000000000002', trim(self::script("{$this->folder}/two", $ends)));
        self::assertStringContainsString('takes a number', self::script($shop, 'bin/backup --keep none', 1));
        self::assertStringContainsString(
            'could not be carried',
            self::script($shop, 'bin/backup --to nowhere.invalid:/x', 1),
        );
    }

    public function test_a_full_disk_says_so_and_keeps_what_was_typed(): void
    {
        $full = new PDOException('Disk full');
        $full->errorInfo = ['HY000', 1021, 'Disk full (/tmp); waiting for someone to free some space...'];
        $answer = Problem::response(new QueryException('mariadb', 'insert', [], $full));
        self::assertSame(507, $answer->getStatusCode());
        self::assertStringContainsString(
            'The disk of the workshop server is full. Nothing was lost',
            (string) $answer->getContent(),
        );
    }

    private function refusals(string $backup): void
    {
        self::assertStringContainsString(
            'There is a workshop here already',
            self::script("{$this->folder}/three", "bin/import {$this->folder}/one.zip", 1),
        );
        $full = self::script(
            "{$this->folder}/one",
            ". bin/lib.sh; mkdir -p {$this->folder}/small; open_workshop; (ulimit -f 8; dump_workshop {$this->folder}/small/x.sql.gz); r=\$?; close_workshop; exit \$r",
            1,
        );
        self::assertStringContainsString('is the disk full? Nothing of it was kept', $full);
        self::assertSame([], glob("{$this->folder}/small/*"), 'half a backup is none');
        file_put_contents($backup, 'x', FILE_APPEND);
        self::assertStringContainsString(
            'its sum does not fit',
            self::script("{$this->folder}/two", "bin/restore {$backup}", 1),
        );
        unlink("{$backup}.sha256");
        file_put_contents($backup, substr((string) file_get_contents($backup), 0, 5000));
        self::assertStringContainsString(
            'damaged or no backup',
            self::script("{$this->folder}/two", "bin/restore {$backup}", 1),
        );
        self::assertStringContainsString(
            'There is no workshop here yet',
            self::script("{$this->folder}/four", 'bin/backup', 1),
        );
        self::assertSame(2, (new Process(['bin/restore'], self::ROOT))->run());
    }
}
