<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Gauge\GaugeSettings;
use VividPull\Core\Input\Node;
use VividPull\Core\Quantity\Unit;

/** What the bridge is told in its file: the server, its token, and for each gauge the wire it hangs on. */
final readonly class Settings
{
    /** @param  list<Wired>  $gauges */
    private function __construct(
        public string $server,
        public string $token,
        /** The workshop's own authority, where the server is trusted by it. */
        public ?string $authority,
        public array $gauges,
    ) {}

    /** @throws BadFile If it is not what the format says; the sentence names the place. */
    public static function fromJson(string $json): self
    {
        $node = Node::fromJson($json)->object(['server', 'token', 'gauges'], ['authority']);
        $server = rtrim($node->at('server')->string(200), '/');
        if (preg_match('#^https?://[^/\s]+$#D', $server) !== 1) {
            throw BadFile::at('$.server', 'say where the workshop is served, such as https://192.168.1.20:8443.');
        }
        $gauges = array_map(self::wired(...), $node->at('gauges')->items(40));
        if ($gauges === []) {
            throw BadFile::at('$.gauges', 'no gauge is named.');
        }
        self::mustBeTellable($gauges);

        return new self($server, $node->at('token')->string(80), $node->optionalString('authority', 200), $gauges);
    }

    private static function wired(Node $node): Wired
    {
        $node->object(
            ['instrument'],
            ['port', 'speed', 'bits', 'parity', 'stop', 'address', 'ask', 'unit', 'before', 'records'],
        );
        if ($node->has('port') === $node->has('address')) {
            throw BadFile::at(
                $node->path,
                'name either the “port” of a serial line, such as /dev/ttyUSB0, or the “address” of an instrument on the network, such as 192.168.1.50:5025.',
            );
        }
        $address = $node->optionalString('address', 120);
        if ($address !== null && preg_match('/^[^\s:]+:[0-9]{1,5}$|^\[[0-9a-f:]+\]:[0-9]{1,5}$/iD', $address) !== 1) {
            throw BadFile::at("{$node->path}.address", 'an address has a port, such as 192.168.1.50:5025.');
        }
        $unit = $node->optionalString('unit', 8);

        return new Wired(
            $node->at('instrument')->string(40),
            $node->optionalString('port', 200),
            new SerialSettings(
                $node->has('speed') ? $node->at('speed')->integer(50, 4_000_000) : 9600,
                $node->has('bits') ? $node->at('bits')->integer(7, 8) : 8,
                self::parity($node),
                $node->has('stop') ? $node->at('stop')->integer(1, 2) : 1,
            ),
            $address,
            $node->optionalString('ask', 80) ?? 'READ?',
            new GaugeSettings(
                $unit === null
                    ? null
                    : Unit::tryFromText($unit)
                        ?? throw BadFile::at("{$node->path}.unit", 'this is no unit; use mm, in, N, lbf or kgf.'),
                $node->optionalString('before', 8) ?? '',
            ),
            $node->flag('records'),
        );
    }

    private static function parity(Node $node): string
    {
        $parity = $node->optionalString('parity', 4) ?? 'none';

        return in_array($parity, ['none', 'even', 'odd'], true)
            ? $parity
            : throw BadFile::at("{$node->path}.parity", 'parity is none, even or odd.');
    }

    /**
     * Gauges that share a wire are told apart by what their lines begin with.
     *
     * @param  list<Wired>  $gauges
     */
    private static function mustBeTellable(array $gauges): void
    {
        $seen = [];
        foreach ($gauges as $place => $gauge) {
            foreach ($seen[$gauge->wire()] ?? [] as $other) {
                if (
                    $gauge->reads->before === ''
                    || $other->reads->before === ''
                    || str_starts_with($gauge->reads->before, $other->reads->before)
                    || str_starts_with($other->reads->before, $gauge->reads->before)
                ) {
                    throw BadFile::at(
                        "$.gauges[{$place}]",
                        "another gauge hangs on {$gauge->wire()}. Say for each what its lines begin with, in “before”.",
                    );
                }
            }
            $seen[$gauge->wire()][] = $gauge;
        }
    }
}
