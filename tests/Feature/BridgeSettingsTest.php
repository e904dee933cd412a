<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gauges\Bridge\Settings;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use VividPull\Core\Errors\BadFile;

/** The file of settings of the bridge: what it says, and what is refused with a sentence. */
final class BridgeSettingsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    public function test_the_example_is_read_and_its_schema_agrees(): void
    {
        $json = (string) file_get_contents(self::ROOT.'/docs/formats/examples/gauges/settings.json');
        $settings = Settings::fromJson($json);
        self::assertSame(
            ['caliper-1', 'indicator-1', 'caliper-2', 'pull-500'],
            array_map(static fn ($one): string => $one->instrument, $settings->gauges),
        );
        self::assertSame(
            ['4800', 'raw', '-echo', 'clocal', '-hupcl', 'cs7', 'cstopb', 'parenb', '-parodd'],
            $settings->gauges[0]->serial->forStty(),
        );
        self::assertSame(
            ['9600', 'raw', '-echo', 'clocal', '-hupcl', 'cs8', '-cstopb', '-parenb'],
            $settings->gauges[1]->serial->forStty(),
        );
        self::assertSame(['READ?', 'N'], [$settings->gauges[3]->ask, $settings->gauges[3]->reads->unit?->value]);
        self::assertSame(
            [false, false, false, true],
            array_map(static fn ($one): bool => $one->records, $settings->gauges),
        );
        self::assertTrue(self::fitsSchema($json));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $gauge = ['instrument' => 'caliper-1', 'port' => '/dev/ttyUSB0'];
        yield 'no server' => [['server' => ''], 'server'];
        yield 'a page of the server' => [['server' => 'http://x/jobs'], 'say where the workshop is served'];
        yield 'no gauge' => [['gauges' => []], 'no gauge is named'];
        yield 'neither port nor address' => [['gauges' => [['instrument' => 'x']]], 'name either the “port”'];
        yield 'both' => [['gauges' => [$gauge + ['address' => '10.0.0.1:5025']]], 'name either the “port”'];
        yield 'an address without a port' => [
            ['gauges' => [['instrument' => 'x', 'address' => '10.0.0.1']]],
            'an address has a port',
        ];
        yield 'a parity that is none' => [['gauges' => [$gauge + ['parity' => 'mark']]], 'parity is none, even or odd'];
        yield 'a speed of nothing' => [['gauges' => [$gauge + ['speed' => 0]]], 'speed'];
        yield 'a word nobody knows' => [['gauges' => [$gauge + ['colour' => 'red']]], 'colour'];
        yield 'a unit that is none' => [['gauges' => [$gauge + ['unit' => 'furlong']]], 'this is no unit'];
        yield 'two on one wire' => [
            ['gauges' => [$gauge, ['instrument' => 'other'] + $gauge]],
            'Say for each what its lines begin with',
        ];
        yield 'two that begin alike' => [
            ['gauges' => [$gauge + ['before' => 'A'], $gauge + ['before' => 'A1']]],
            'Say for each what its lines begin with',
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_named(array $with, string $says): void
    {
        $json = (string) json_encode(
            $with
                + [
                    'server' => 'http://127.0.0.1:8080',
                    'token' => 'x',
                    'gauges' => [['instrument' => 'caliper-1', 'port' => '/dev/ttyUSB0']],
                ],
        );
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage($says);
        Settings::fromJson($json);
    }

    public function test_the_programs_say_how_they_are_used(): void
    {
        foreach ([
            ['bin/gauges'],
            ['bin/gauges', '/nowhere.json'],
            ['bin/gauge-sim'],
            ['bin/gauge-sim', 'ruler', '--line', '/tmp/x'],
            ['bin/gauge-sim', 'caliper'],
            ['bin/gauge-sim', 'caliper', '--line', '/tmp/x', '--loud', 'yes'],
        ] as $command) {
            $process = new Process($command, self::ROOT);
            self::assertSame(2, $process->run(), implode(' ', $command));
            self::assertNotSame('', $process->getErrorOutput());
        }
        foreach (['bin/gauges', 'bin/gauge-sim'] as $program) {
            $process = new Process([$program, '--help'], self::ROOT);
            self::assertSame(0, $process->run());
            self::assertStringContainsString('Usage: '.$program, $process->getOutput());
        }
    }

    private static function fitsSchema(string $json): bool
    {
        $schema = json_decode(
            (string) file_get_contents(self::ROOT.'/docs/formats/gauges.schema.json'),
            flags: JSON_THROW_ON_ERROR,
        );
        assert(is_object($schema));

        return (new Validator)->validate(json_decode($json), $schema)->isValid();
    }
}
