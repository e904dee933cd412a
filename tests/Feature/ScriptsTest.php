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
        foreach (['bin/start', 'bin/test', 'bin/bench', 'bin/backup', 'bin/restore', 'bin/export', 'bin/import', 'bin/verify', 'bin/lib.sh', '.ci/run'] as $script) {
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
        self::assertStringContainsString('The demo stays on this machine', self::script($folder, 'bin/start --no-demo --host 192.0.2.1', 1), 'it is a demo that was begun here');
        (new Process(['rm', '-rf', $folder]))->mustRun();
    }

    public function test_a_log_that_has_grown_is_begun_again_and_the_one_before_kept(): void
    {
        $folder = self::folder();
        $log = "{$folder}/long.log";
        file_put_contents($log, str_repeat("a line\n", 800_000));
        file_put_contents("{$folder}/short.log", "a line\n");
        self::script($folder, ". bin/lib.sh; exec 3>>{$log}; keep_short {$log} {$folder}/short.log {$folder}/none.log; echo after >&3");
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
        self::assertMatchesRegularExpression('/application:\ninformation_schema\nvivid_pull\n.*command denied/s', $said);
        if (posix_geteuid() === 0) {
            self::assertMatchesRegularExpression('/another:\nERROR/', $said);
        }
        self::assertStringEndsWith("others:\n", $said, 'nobody else reads what lies there');
        (new Process(['rm', '-rf', $folder]))->mustRun();
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
