<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Scripts;

/** The scripts that everything begins with. */
final class ScriptsTest extends TestCase
{
    use Scripts;

    private const ROOT = __DIR__.'/../..';

    /** @return iterable<string, array{string}> */
    public static function scripts(): iterable
    {
        foreach ([
            'bin/start', 'bin/test', 'bin/bench', 'bin/backup', 'bin/restore', 'bin/export', 'bin/import', 'bin/verify',
            'bin/install', 'bin/uninstall', 'bin/trial', 'bin/keep', 'bin/lib.sh', 'bin/web.sh', '.ci/run',
        ] as $script) {
            yield $script => [$script];
        }
    }

    #[DataProvider('scripts')]
    public function test_it_is_a_script_that_bash_can_read(string $script): void
    {
        $process = new Process(['bash', '-n', $script], self::ROOT);
        self::assertSame(0, $process->run(), $process->getErrorOutput());
    }

    public function test_starting_explains_itself_and_refuses_what_it_does_not_know(): void
    {
        $help = new Process(['bin/start', '--help'], self::ROOT);
        self::assertSame(0, $help->run());
        foreach (['--fresh', '--no-demo', '--host', '--port'] as $option) {
            self::assertStringContainsString($option, $help->getOutput());
        }
        self::assertSame(2, (new Process(['bin/start', '--colour'], self::ROOT))->run());
    }

    public function test_the_demo_is_not_served_to_a_network_unless_that_is_said(): void
    {
        $folder = self::folder();
        $said = self::script($folder, 'bin/start --host 0.0.0.0', 1);
        self::assertStringContainsString('The demo stays on this machine: everybody knows its passwords.', $said);
        file_put_contents("{$folder}/env", "APP_KEY=x\nWORKSHOP_DEMO=true\n");
        self::assertStringContainsString(
            'The demo stays on this machine',
            self::script($folder, 'bin/start --no-demo --host 192.0.2.1', 1),
            'it is a demo that was begun here',
        );
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    public function test_a_log_that_has_grown_is_begun_again_and_the_one_before_kept(): void
    {
        $folder = self::folder();
        $log = "{$folder}/long.log";
        file_put_contents($log, str_repeat("a line\n", 800_000));
        file_put_contents("{$folder}/short.log", "a line\n");
        self::script(
            $folder,
            ". bin/lib.sh; exec 3>>{$log}; keep_short {$log} {$folder}/short.log {$folder}/none.log; echo after >&3",
        );
        self::assertSame("after\n", file_get_contents($log), 'whoever writes it goes on at its beginning');
        self::assertSame(5_600_000, filesize("{$log}.1"));
        self::assertFileDoesNotExist("{$folder}/short.log.1");
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    public function test_nobody_else_on_this_machine_keeps_the_database(): void
    {
        $folder = self::folder();
        $asks = <<<'SH'
            . bin/lib.sh
            start_mariadb "$DATA/workshop" 3718; make_database vivid_pull secret
            ask() { echo "$1:"; shift; "$@" 2>&1; }
            ask keepers mariadb --no-defaults --socket="$DB_SOCKET" -u"$DB_ADMIN" --batch --skip-column-names -e "select concat(User, '@', Host) from mysql.global_priv where User not in ('mariadb.sys', 'vivid_pull') order by 1"
            [ "$(id -u)" = 0 ] && ask another setpriv --reuid=nobody --clear-groups mariadb --no-defaults --socket="$DB_SOCKET" -uroot -e 'select 1'
            ask network mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -uroot -e 'select 1'
            ask application mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -uvivid_pull -psecret --batch --skip-column-names -e 'show databases; select * from mysql.global_priv'
            ask others find "$DATA/workshop" -maxdepth 1 ! -type s -perm /o=rwx
            stop_mariadb; wait "$DB_PID"
            SH;
        $said = self::script($folder, $asks);
        $keeper = posix_getpwuid(posix_geteuid())['name'] ?? 'root';
        self::assertStringContainsString("keepers:\n{$keeper}@localhost\n", $said);
        self::assertMatchesRegularExpression('/network:\nERROR \d+ .*Access denied/', $said);
        self::assertMatchesRegularExpression(
            '/application:\ninformation_schema\nvivid_pull\n.*command denied/s',
            $said,
        );
        if (posix_geteuid() === 0) {
            self::assertMatchesRegularExpression('/another:\nERROR/', $said);
        }
        self::assertStringEndsWith("others:\n", $said, 'nobody else reads what lies there');
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    /** As a backup does, which is tried in a server of its own beside the one that works. */
    public function test_a_database_that_begins_leaves_the_temporary_tables_of_another_alone(): void
    {
        $folder = self::folder();
        $said = self::script($folder, <<<'SH'
            . bin/lib.sh
            touch "${TMPDIR:-/tmp}/#sql-temptable-1-2-3.MAI"; chown mysql "${TMPDIR:-/tmp}/#sql-temptable-1-2-3.MAI" 2>/dev/null
            start_mariadb "$DATA/one" 3719
            [ -e "${TMPDIR:-/tmp}/#sql-temptable-1-2-3.MAI" ] && echo 'there though system tables were made'
            rm -f "${TMPDIR:-/tmp}/#sql-temptable-1-2-3.MAI"
            own="$(mariadb --no-defaults --socket="$DB_SOCKET" -u"$DB_ADMIN" --batch --skip-column-names -e 'select @@tmpdir')"
            touch "$own/#sql-temptable-1-2-3.MAI"; chown --reference="$DATA/one/data" "$own/#sql-temptable-1-2-3.MAI"
            stop_one() { mariadb-admin --no-defaults --socket="$DATA/one/mariadb.sock" -u"$DB_ADMIN" shutdown; }
            first="$DB_PID"; start_mariadb "$DATA/two" 3719
            [ -e "$own/#sql-temptable-1-2-3.MAI" ] && echo 'still there'
            rm -f "$own/#sql-temptable-1-2-3.MAI"
            stop_mariadb; stop_one; wait "$DB_PID" "$first"
            SH);
        self::assertSame("there though system tables were made\nstill there\n", $said);
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    public function test_what_is_killed_is_begun_again_within_a_second_and_ends_with_who_began_it(): void
    {
        $folder = self::folder();
        $keep = new Process(
            [
                'bash',
                '-c',
                "setpriv --pdeathsig TERM bin/keep sleeper {$folder}/log ".(string) realpath('/bin/sleep')
                    .' 300 & wait',
            ],
            self::ROOT,
        );
        $keep->start();
        $first = self::sleeper($folder, 0);
        posix_kill($first, SIGKILL);
        $second = self::sleeper($folder, $first);
        self::assertStringContainsString('The sleeper had ended (code 137) and was begun again.', $keep->getOutput());
        posix_kill((int) $keep->getPid(), SIGKILL);
        for ($i = 0; $i < 50 && self::isAlive($second); $i++) {
            usleep(100_000);
        }
        self::assertFalse(self::isAlive($second), 'nothing is left behind when who began it is killed by force');
        $keep->stop(0);
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    public function test_packages_that_are_not_what_was_pinned_are_named(): void
    {
        $folder = self::folder();
        (new Process([
            'mkdir',
            '-p',
            "{$folder}/bin",
            "{$folder}/vendor/composer",
            "{$folder}/vendor/a/b/src",
        ]))->mustRun();
        copy(self::ROOT.'/bin/pins', "{$folder}/bin/pins");
        file_put_contents("{$folder}/vendor/a/b/src/One.php", '<?php');
        file_put_contents(
            "{$folder}/vendor/composer/installed.json",
            (string) json_encode([
                'packages' => [['name' => 'a/b', 'version' => '1.2.3', 'install-path' => '../a/b']],
                'dev-package-names' => [],
            ]),
        );
        $pins = static function (string $ask) use ($folder): array {
            $process = new Process([PHP_BINARY, "{$folder}/bin/pins", $ask]);
            $process->run();

            return [$process->getExitCode(), trim($process->getOutput())];
        };
        self::assertSame([0, '1 packages are pinned.'], $pins('write'));
        self::assertSame([0, '--with=a/b:1.2.3'], $pins('with'));
        self::assertSame(0, $pins('check')[0]);
        file_put_contents("{$folder}/vendor/a/b/src/One.php", '<?php evil();');
        self::assertSame(
            [1, 'These packages are not what was pinned: a/b 1.2.3 holds something else than was pinned.'],
            $pins('check'),
        );
        file_put_contents("{$folder}/composer.pins", '');
        self::assertSame([1, 'These packages are not what was pinned: a/b is not among the pins.'], $pins('check'));
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    public function test_what_runs_here_is_what_was_pinned_and_the_pins_say_of_no_place(): void
    {
        $check = new Process([PHP_BINARY, 'bin/pins', 'check'], self::ROOT);
        self::assertSame(0, $check->run(), $check->getOutput());
        self::assertStringNotContainsString('://', (string) file_get_contents(self::ROOT.'/composer.pins'));
        self::assertStringNotContainsString('"resolved"', (string) file_get_contents(self::ROOT.'/package-lock.json'));
    }

    public function test_the_units_of_the_service_are_sound_and_may_do_little(): void
    {
        $folder = self::folder();
        self::script($folder, "bin/install --print {$folder}/units --data {$folder} --backups {$folder}/away --keep 9");
        $backup = (string) file_get_contents("{$folder}/units/vivid-pull-backup.service");
        self::assertStringContainsString(
            "bin/backup {$folder}/backups --keep 9 --encrypt --to {$folder}/away",
            $backup,
        );
        self::assertStringContainsString("ReadWritePaths={$folder}/away", $backup);
        foreach (['vivid-pull.service', 'vivid-pull-backup.service'] as $unit) {
            $says = (string) file_get_contents("{$folder}/units/{$unit}");
            foreach ([
                'User=vivid-pull',
                'NoNewPrivileges=yes',
                'ProtectSystem=strict',
                'CapabilityBoundingSet=',
            ] as $line) {
                self::assertStringContainsString("\n{$line}\n", $says, "{$unit}: {$line}");
            }
        }
        touch("{$folder}/gauges.json");
        self::script($folder, "bin/install --gauges {$folder}/gauges.json --print {$folder}/units");
        $gauges = (string) file_get_contents("{$folder}/units/vivid-pull-gauges.service");
        foreach ([
            'SupplementaryGroups=dialout',
            'DevicePolicy=closed',
            'User=vivid-pull',
            'NoNewPrivileges=yes',
        ] as $line) {
            self::assertStringContainsString("\n{$line}\n", $gauges);
        }
        self::assertStringContainsString(
            'There are no settings at',
            self::script($folder, "bin/install --gauges {$folder}/none.json --print {$folder}/units", 1),
        );
        self::assertStringContainsString(
            'OnCalendar=',
            (string) file_get_contents("{$folder}/units/vivid-pull-backup.timer"),
        );
        $said = self::script(
            $folder,
            'command -v systemd-analyze >/dev/null || exit 0; systemd-analyze verify '.$folder.'/units/*.service '
                .$folder.'/units/*.timer && for unit in '.$folder
                .'/units/*.service; do systemd-analyze security --offline=true --threshold=25 --no-pager "$unit" >/dev/null || echo "$unit may do too much"; done',
        );
        self::assertSame('', trim($said));
        self::assertStringContainsString(
            'does not fit into a unit',
            self::script($folder, "bin/install --print {$folder}/units --data '/var/lib/a b'", 1),
        );
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    public function test_a_number_that_another_process_has_now_is_no_running_workshop(): void
    {
        $folder = self::folder();
        mkdir("{$folder}/workshop");
        file_put_contents("{$folder}/workshop/port", '3317');
        foreach ([(string) getmypid(), '4194999', '', 'x'] as $pid) {
            file_put_contents("{$folder}/workshop/pid", $pid);
            self::assertSame('', trim(self::script($folder, '. bin/lib.sh; running_port; true')));
        }
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    /** Number of the process that is kept, once it is another than before. */
    private static function sleeper(string $folder, int $before): int
    {
        for ($i = 0; $i < 20; $i++) {
            $pid = (int) @file_get_contents("{$folder}/log.session");
            if ($pid !== 0 && $pid !== $before && self::isAlive($pid)) {
                return $pid;
            }
            usleep(50_000);
        }
        self::fail('It was not begun again within a second.');
    }

    private static function isAlive(int $pid): bool
    {
        return ! in_array(trim((string) @file_get_contents("/proc/{$pid}/stat")), ['', '0'], true)
            && ! str_contains((string) @file_get_contents("/proc/{$pid}/stat"), ') Z ');
    }

    private static function folder(): string
    {
        $folder = sys_get_temp_dir().'/vivid-pull-scripts-'.bin2hex(random_bytes(4));
        mkdir($folder, 0o711);

        return $folder;
    }

    public function test_a_port_that_is_taken_is_passed_over(): void
    {
        $taken = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($taken);
        $name = explode(':', (string) stream_socket_get_name($taken, false));
        $port = (int) end($name);
        $process = new Process(['bash', '-c', ". bin/lib.sh; free_port 127.0.0.1 {$port}"], self::ROOT);
        $process->mustRun();
        self::assertGreaterThan($port, (int) $process->getOutput());
        fclose($taken);
    }

    public function test_nothing_is_shipped_that_opens_a_real_workshop(): void
    {
        $process = new Process(['git', 'ls-files'], self::ROOT);
        $process->run();
        foreach (explode("\n", trim($process->getOutput())) as $file) {
            self::assertDoesNotMatchRegularExpression('#(^|/)\.env|\.runtime/|\.pem$|id_rsa#', $file);
        }
    }
}
