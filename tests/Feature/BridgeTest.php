<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/** The real bridge with two simulated gauges on pseudo terminals and no server: what it bears, and what it keeps. */
final class BridgeTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    private string $folder;

    /** @var list<Process> */
    private array $running = [];

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/vp-bridge-'.bin2hex(random_bytes(4));
        mkdir($this->folder, 0700);
    }

    protected function tearDown(): void
    {
        foreach ($this->running as $process) {
            $process->stop(2);
        }
        (new Process(['rm', '-rf', $this->folder]))->mustRun();
    }

    public function test_two_gauges_at_once_are_kept_in_order_through_a_restart(): void
    {
        file_put_contents(
            "{$this->folder}/settings.json",
            json_encode([
                'server' => 'http://127.0.0.1:9',
                'token' => 'x',
                'gauges' => [
                    ['instrument' => 'caliper-1', 'port' => "{$this->folder}/one"],
                    ['instrument' => 'indicator-1', 'port' => "{$this->folder}/two"],
                ],
            ]),
        );
        $caliper = $this->gauge('caliper', 'one');
        $indicator = $this->gauge('indicator', 'two');
        $bridge = $this->bridge();
        $this->awaitSaid($bridge, 'Listening.', 2);
        // Somebody else has its old place by the time that it is plugged in again: its name leads to another device
        // then.
        $caliper->write("unplug\n");
        $this->awaitSaid($bridge, 'Unplugged.');
        $this->gauge('force', 'three');
        $this->awaitLine('three');
        $caliper->write("plug\n");
        $this->awaitSaid($bridge, 'Listening.', 3);
        $caliper->write("press 4.2\nwait 1.5\npress 4.3\n");
        $indicator->write("press 1.5\n");
        $this->awaitSaid($bridge, '3 in all');
        $caliper->write("fault garbage\npress\nwait 0.1\nunplug\n");
        $this->awaitSaid($bridge, 'bytes that are no text');
        $this->awaitSaid($bridge, 'Unplugged.', 2);
        $indicator->write("press 1.6\n");
        $this->awaitSaid($bridge, '4 in all');
        $bridge->stop(3);
        $kept = json_decode((string) file_get_contents("{$this->folder}/settings.json.waiting"), true);
        self::assertIsArray($kept);
        self::assertCount(4, array_unique(array_column($kept, 'id')));
        self::assertSame(2, count(array_keys(array_column($kept, 'instrument'), 'caliper-1', true)));
        self::assertSame('indicator-1', $kept[3]['instrument']);
        $at = array_column($kept, 'at_ms');
        $sorted = $at;
        sort($sorted);
        self::assertSame($sorted, $at, 'in the order in which they were pressed');
        $this->awaitSaid($this->bridge(), '4 from before wait to be sent.');
    }

    public function test_what_a_force_gauge_sends_by_itself_is_one_recording_and_a_press_is_a_press(): void
    {
        file_put_contents(
            "{$this->folder}/settings.json",
            json_encode([
                'server' => 'http://127.0.0.1:9',
                'token' => 'x',
                'gauges' => [['instrument' => 'pull-500', 'port' => "{$this->folder}/one", 'records' => true]],
            ]),
        );
        $force = $this->gauge('force', 'one');
        $bridge = $this->bridge();
        $this->awaitSaid($bridge, 'Listening.');
        $this->awaitSaid($bridge, 'does not answer');
        $force->write("press 48\n");
        $this->awaitSaid($bridge, 'What is pressed is kept, in order.');
        $force->write("pull 7 1.2\n");
        $this->awaitSaid($bridge, 'A pull of ');
        $bridge->stop(3);
        $kept = json_decode((string) file_get_contents("{$this->folder}/settings.json.waiting"), true);
        self::assertIsArray($kept);
        self::assertCount(2, $kept);
        self::assertMatchesRegularExpression('/^N 4[78]\.\d$/', $kept[0]['line']);
        $lines = $kept[1]['lines'];
        self::assertGreaterThan(30, count($lines));
        $rest = array_filter(
            array_column($lines, 0),
            static fn (int $ms): bool => $ms < $lines[0][0] || $ms > $lines[count($lines) - 1][0],
        );
        self::assertSame([], $rest, 'in the order of their times');
        $forces = array_map(static fn (array $one): float => (float) substr($one[1], 2), $lines);
        self::assertGreaterThan($forces[0] + 10, $forces[intdiv(count($forces), 2)], 'it gets heavy');
        self::assertLessThan($forces[intdiv(count($forces), 2)] - 10, $forces[count($forces) - 1], 'and light again');
        $this->awaitSaid($this->bridge(), '2 from before wait to be sent.');
    }

    private function gauge(string $kind, string $line): InputStream
    {
        $words = new InputStream;
        $this->running[] = $gauge = new Process(
            [PHP_BINARY, 'bin/gauge-sim', $kind, '--line', "{$this->folder}/{$line}"],
            self::ROOT,
            null,
            $words,
            null,
        );
        $gauge->start();

        return $words;
    }

    private function awaitLine(string $line): void
    {
        for ($n = 0; $n < 200 && ! is_link("{$this->folder}/{$line}"); $n++) {
            usleep(25_000);
            clearstatcache();
        }
    }

    private function bridge(): Process
    {
        $this->running[] = $bridge = new Process(
            [PHP_BINARY, 'bin/gauges', "{$this->folder}/settings.json"],
            self::ROOT,
            null,
            null,
            null,
        );
        $bridge->start();

        return $bridge;
    }

    private function awaitSaid(Process $bridge, string $text, int $times = 1): void
    {
        for ($n = 0; $n < 300 && substr_count($bridge->getOutput(), $text) < $times; $n++) {
            // What was written to a gauge goes to it while it is asked for what it printed.
            foreach ($this->running as $process) {
                $process->getOutput();
            }
            usleep(50_000);
        }
        self::assertGreaterThanOrEqual(
            $times,
            substr_count($bridge->getOutput(), $text),
            "It never said “{$text}”:\n{$bridge->getOutput()}{$bridge->getErrorOutput()}",
        );
    }
}
