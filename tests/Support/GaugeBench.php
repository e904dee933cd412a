<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/** A simulated caliper on a pseudo terminal, or a force gauge on the network, and the real bridge that carries what it sends to a server, as processes of their own. */
final class GaugeBench
{
    private const ROOT = __DIR__.'/../..';

    /** When the last words went to the gauge. */
    public float $last = 0.0;

    private readonly string $folder;

    private readonly Process $gauge;

    private readonly Process $bridge;

    private readonly InputStream $words;

    public function __construct(string $server, HttpClient $lead, string $name, bool $pulls = false)
    {
        [$status, $made] = $lead->send('POST', 'bridges', ['name' => $name]);
        if ($status !== 201) {
            throw new RuntimeException("No computer was added: {$status} ".json_encode($made));
        }
        $this->folder = sys_get_temp_dir().'/vp-gauges-'.bin2hex(random_bytes(4));
        mkdir($this->folder, 0700);
        $port = (string) Server::freePort();
        $gauge = $pulls ? ['instrument' => 'pull-500', 'address' => "127.0.0.1:{$port}"] : ['instrument' => 'caliper-1', 'port' => "{$this->folder}/caliper"];
        file_put_contents("{$this->folder}/settings.json", json_encode(['server' => $server, 'token' => $made['token'], 'gauges' => [$gauge]]));
        $this->words = new InputStream;
        $this->gauge = new Process([PHP_BINARY, 'bin/gauge-sim', ...($pulls ? ['network', '--port', $port] : ['caliper', '--line', "{$this->folder}/caliper"])], self::ROOT, null, $this->words, null);
        $this->gauge->start();
        $this->bridge = new Process([PHP_BINARY, 'bin/gauges', "{$this->folder}/settings.json"], self::ROOT, null, null, null);
        $this->bridge->start();
        $this->awaitSaid($pulls ? 'Listening to' : 'Listening.');
        $this->awaitSaid("This computer is known as {$name}.");
    }

    /** Works the simulated gauge, no sooner after the last time than a hand could. */
    public function do(string ...$words): void
    {
        usleep(450_000);
        $this->last = microtime(true);
        $this->words->write(implode("\n", $words)."\n");
        // It is given what was written while it is asked for what it printed.
        for ($n = 0; $n < 5; $n++) {
            $this->gauge->getOutput();
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
            $this->gauge->getOutput();
        }
        throw new RuntimeException("The bridge never said “{$text}”. It said:\n{$this->bridge->getOutput()}{$this->bridge->getErrorOutput()}{$this->gauge->getErrorOutput()}");
    }

    public function said(): string
    {
        return $this->bridge->getOutput();
    }

    public function end(): void
    {
        $this->words->close();
        $this->bridge->stop(2);
        $this->gauge->stop(2);
        array_map(unlink(...), array_filter((array) glob("{$this->folder}/*"), is_string(...)));
        rmdir($this->folder);
    }
}
