<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/**
 * Simulated gauges (a caliper on a pseudo terminal, a force gauge on the network) and the real bridge that carries what
 * they send to a server, as processes of their own.
 */
final class GaugeBench
{
    public const CALIPER = 'caliper';

    public const FORCE = 'network';

    private const ROOT = __DIR__.'/../..';

    /** When the last words went to a gauge. */
    public float $last = 0.0;

    private readonly string $folder;

    private readonly Process $bridge;

    /** @var array<string, array{Process, InputStream}> by kind */
    private array $gauges = [];

    /** @param  non-empty-list<string>  $kinds */
    public function __construct(string $server, HttpClient $lead, string $name, array $kinds = [self::CALIPER])
    {
        [$status, $made] = $lead->send('POST', 'bridges', ['name' => $name]);
        if ($status !== 201) {
            throw new RuntimeException("No computer was added: {$status} ".json_encode($made));
        }
        $this->folder = sys_get_temp_dir().'/vp-gauges-'.bin2hex(random_bytes(4));
        mkdir($this->folder, 0700);
        $wired = [];
        foreach ($kinds as $kind) {
            $port = (string) Server::freePort();
            $wired[] = $kind === self::FORCE
                ? ['instrument' => 'pull-500', 'address' => "127.0.0.1:{$port}", 'records' => true]
                : ['instrument' => 'caliper-1', 'port' => "{$this->folder}/{$kind}"];
            $words = new InputStream;
            $gauge = new Process(
                [
                    PHP_BINARY,
                    'bin/gauge-sim',
                    $kind,
                    ...($kind === self::FORCE ? ['--port', $port] : ['--line', "{$this->folder}/{$kind}"]),
                ],
                self::ROOT,
                null,
                $words,
                null,
            );
            $gauge->start();
            $this->gauges[$kind] = [$gauge, $words];
        }
        file_put_contents(
            "{$this->folder}/settings.json",
            json_encode(['server' => $server, 'token' => $made['token'], 'gauges' => $wired]),
        );
        $this->bridge = new Process(
            [PHP_BINARY, 'bin/gauges', "{$this->folder}/settings.json"],
            self::ROOT,
            null,
            null,
            null,
        );
        $this->bridge->start();
        $this->awaitSaid('Listening', count($kinds));
        $this->awaitSaid("This computer is known as {$name}.");
    }

    /** Works the first of them, no sooner after the last time than a hand could. */
    public function do(string ...$words): void
    {
        $this->tell((string) array_key_first($this->gauges), ...$words);
    }

    public function tell(string $kind, string ...$words): void
    {
        usleep(700_000);
        $this->last = microtime(true);
        [$gauge, $to] = $this->gauges[$kind];
        $to->write(implode("\n", $words)."\n");
        // It is given what was written while it is asked for what it printed.
        for ($n = 0; $n < 5; $n++) {
            $gauge->getOutput();
            usleep(1_000);
        }
    }

    /** Until the bridge has printed this, so many times. */
    public function awaitSaid(string $text, int $times = 1): void
    {
        for ($n = 0; $n < 300; $n++) {
            if (substr_count($this->bridge->getOutput(), $text) >= $times) {
                return;
            }
            usleep(50_000);
            foreach ($this->gauges as [$gauge]) {
                $gauge->getOutput();
            }
        }
        throw new RuntimeException(
            "The bridge never said “{$text}”. It said:\n{$this->bridge->getOutput()}{$this->bridge->getErrorOutput()}",
        );
    }

    public function end(): void
    {
        $this->bridge->stop(2);
        foreach ($this->gauges as [$gauge, $words]) {
            $words->close();
            $gauge->stop(2);
        }
        array_map(unlink(...), array_filter((array) glob("{$this->folder}/*"), is_string(...)));
        rmdir($this->folder);
    }
}
