<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The scripts that everything begins with. */
final class ScriptsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @return iterable<string, array{string}> */
    public static function scripts(): iterable
    {
        foreach (['bin/start', 'bin/test', 'bin/bench', 'bin/backup', 'bin/restore', 'bin/export', 'bin/import', 'bin/lib.sh', '.ci/run'] as $script) {
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
