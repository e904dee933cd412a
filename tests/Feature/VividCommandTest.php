<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** `bin/vivid` as a person runs it: without database or web server. */
final class VividCommandTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    public function test_read_prints_what_was_understood(): void
    {
        $process = self::vivid('read', '3/32 in');
        self::assertSame(0, $process->getExitCode());
        self::assertSame(
            [2.38125, 'mm', 'in'],
            [self::json($process)['value'], self::json($process)['unit'], self::json($process)['entered_unit']],
        );
    }

    public function test_replay_prints_the_bench_state(): void
    {
        $process = self::vivid('replay', self::ROOT.'/docs/formats/examples/clutch-lever.json');
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        self::assertSame('perch', self::json($process)['next']['recommended']);
    }

    public function test_diagnose_prints_causes_and_what_to_look_at_next(): void
    {
        $process = self::vivid('diagnose', self::ROOT.'/docs/formats/examples/diagnoses/slipping-clutch.json');
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        self::assertSame('arm_free', self::json($process)['next']['key']);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function wrong(): iterable
    {
        yield 'a unit nobody listed' => [['read', '4 furlong'], 'Read 4, but “furlong” is not a unit I know.'];
        yield 'a file that is not there' => [
            ['replay', '/nowhere.json'],
            'There is no file /nowhere.json that can be read.',
        ];
        yield 'a folder' => [['replay', '/tmp'], 'There is no file /tmp that can be read.'];
        yield 'a file that is no JSON' => [['replay', self::ROOT.'/bin/vivid'], '$: this is not JSON'];
        yield 'another kind of JSON' => [
            ['replay', self::ROOT.'/composer.json'],
            '$: the key “name” is not known here.',
        ];
        yield 'a job where a complaint is asked for' => [
            ['diagnose', self::ROOT.'/docs/formats/examples/bail.json'],
            '$: the key “spec” is not known here.',
        ];
        yield 'no command' => [[], 'Usage:'];
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said_in_one_sentence_and_a_code(array $arguments, string $sentence): void
    {
        $process = self::vivid(...$arguments);
        self::assertNotSame(0, $process->getExitCode());
        self::assertStringContainsString($sentence, $process->getErrorOutput());
        self::assertStringNotContainsString('Stack trace', $process->getErrorOutput().$process->getOutput());
        self::assertSame('', $process->getOutput());
    }

    private static function vivid(string ...$arguments): Process
    {
        $process = new Process([PHP_BINARY, self::ROOT.'/bin/vivid', ...$arguments]);
        $process->run();

        return $process;
    }

    /** @return array<string, mixed> */
    private static function json(Process $process): array
    {
        return json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }
}
