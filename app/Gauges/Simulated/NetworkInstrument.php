<?php

declare(strict_types=1);

namespace App\Gauges\Simulated;

use App\Gauges\Steady;
use React\EventLoop\LoopInterface;
use React\Socket\ConnectionInterface;
use React\Socket\TcpServer;
use VividPull\Core\Gauge\LineFraming;

/**
 * An instrument on the network that is none: it says its name, its errors, and gives a reading once somebody presses.
 */
final class NetworkInstrument implements Speaks
{
    private ?TcpServer $server = null;

    /** @var array<int, ConnectionInterface> who is connected */
    private array $connected = [];

    /** @var array<int, ConnectionInterface> who asked for a reading and waits for it */
    private array $waiting = [];

    private string $error = '+0,"No error"';

    public function __construct(private readonly LoopInterface $loop, private readonly int $port) {}

    public function plug(): void
    {
        if ($this->server === null) {
            $this->server = new TcpServer("127.0.0.1:{$this->port}", $this->loop);
            $this->server->on('connection', $this->connected(...));
        }
    }

    public function unplug(): void
    {
        $this->server?->close();
        $this->server = null;
        foreach ($this->connected as $one) {
            $one->close();
        }
        $this->connected = $this->waiting = [];
    }

    public function send(string $bytes): void
    {
        foreach ($this->waiting as $one) {
            $one->write($bytes);
        }
        $this->waiting = $bytes === '' ? $this->waiting : [];
    }

    private function connected(ConnectionInterface $one): void
    {
        $id = spl_object_id($one);
        $this->connected[$id] = $one;
        $framing = new LineFraming;
        $one->on('data', function (string $bytes) use ($one, $id, $framing): void {
            foreach ($framing->take($bytes, Steady::ms()) as $command) {
                $this->obey($one, $id, strtoupper($command));
            }
        });
        $one->on('close', function () use ($id): void {
            unset($this->connected[$id], $this->waiting[$id]);
        });
    }

    private function obey(ConnectionInterface $one, int $id, string $command): void
    {
        match ($command) {
            '*IDN?' => $one->write("Vivid Pull,Simulated force gauge,0001,1\n"),
            'SYST:ERR?' => $this->sayError($one),
            'READ?' => $this->waiting[$id] = $one,
            '*CLS' => $this->error = '+0,"No error"',
            default => $this->error = '-113,"Undefined header"',
        };
    }

    private function sayError(ConnectionInterface $one): void
    {
        $one->write("{$this->error}\n");
        $this->error = '+0,"No error"';
    }
}
