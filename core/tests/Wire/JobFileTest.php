<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Wire\JobFile;
use VividPull\Core\Wire\StateCodec;

final class JobFileTest extends TestCase
{
    private const FORMATS = __DIR__.'/../../../docs/formats';

    /** @return iterable<string, array{string}> */
    public static function examples(): iterable
    {
        $files = glob(self::FORMATS.'/examples/*.json');
        foreach ($files === false ? [] : $files as $file) {
            yield basename($file) => [(string) file_get_contents($file)];
        }
    }

    #[DataProvider('examples')]
    public function test_every_example_replays_and_keeps_to_the_schema(string $json): void
    {
        self::assertNotSame([], StateCodec::encode(JobFile::replay($json))['log']);
        self::assertTrue(self::keepsToSchema($json));
    }

    public function test_changing_one_reading_by_two_millimetres_changes_the_answer(): void
    {
        $json = (string) file_get_contents(self::FORMATS.'/examples/clutch-lever.json');
        $one = StateCodec::encode(JobFile::replay($json));
        $other = StateCodec::encode(JobFile::replay(str_replace(
            '"mm": 20.5, "entered": "20.5"',
            '"mm": 22.5, "entered": "22.5"',
            $json,
        )));
        self::assertNotEquals($one['learned'], $other['learned']);
        self::assertNotEquals($one['next'], $other['next']);
    }

    /** @return iterable<string, array{callable(array<string, mixed>): mixed, string}> */
    public static function bad(): iterable
    {
        yield 'a key nobody knows' => [
            static fn (array $f): array => $f + ['colour' => 'red'],
            '$: the key “colour” is not known here.',
        ];
        yield 'a key deep inside' => [
            self::at('spec.aim.colour', 'red'),
            '$.spec.aim: the key “colour” is not known here.',
        ];
        yield 'another format' => [self::at('format', 'other@9'), '$.format: this is not “vivid-pull/job@1”'];
        yield 'no log' => [self::at('log', []), '$.log: a log begins with the entry that opens the job'];
        yield 'a log that opens nothing' => [
            static fn (array $f): array => ['log' => array_slice($f['log'], 1)] + $f,
            '$.log[0]',
        ];
        yield 'a family that is none' => [self::at('spec.family', 'rudder'), '$.spec.family'];
        yield 'a band upside down' => [self::at('spec.aim.low_mm', 30), '$.spec.aim'];
        yield 'a band of text' => [self::at('spec.aim.low_mm', 'ten'), '$.spec.aim.low_mm'];
        yield 'a thread nobody cuts' => [
            self::at('run.cables.0.adjusters.0.thread', 'M8 x 9'),
            '$.run.cables[0].adjusters[0]',
        ];
        yield 'two adjusters of one name' => [
            self::at('run.cables.0.adjusters.1.id', 'perch'),
            '$.run.cables: two adjusters are called “perch”.',
        ];
        yield 'a distance of nothing' => [self::at('run.hand.pivot_to_wire_mm', 0), '$.run.hand.pivot_to_wire_mm'];
        yield 'a time that is none' => [
            self::at('log.1.at', 'yesterday'),
            '$.log[1].at: “yesterday” is not a time with its offset',
        ];
        yield 'a reading of text' => [self::at('log.3.body.mm', 'much'), '$.log[3].body.mm'];
        yield 'a reading not a number at all' => [self::at('log.3.body.mm', null), '$.log[3].body.mm'];
        yield 'a move on an adjuster that is not there' => [
            self::at('log.6.body.adjuster', 'cam'),
            '$.log[6]: “cam” is not an adjuster of this control.',
        ];
        yield 'a move beyond the thread' => [
            self::at('log.6.body.turns', 44),
            '$.log[6]: The perch barrel cannot go out 44 turns',
        ];
        yield 'a second opening' => [
            static fn (array $f): array => ['log' => [...$f['log'], ['id' => 'x'] + $f['log'][0]]] + $f,
            '$.log[10]: A job is opened once.',
        ];
        yield 'numbers that go backward' => [
            static fn (array $f): array => ['log' => [['seq' => 2] + $f['log'][0], ['seq' => 1] + $f['log'][1]]] + $f,
            '$.log[1].seq: entry 1 stands after entry 2',
        ];
        yield 'an id twice' => [self::at('log.4.id', 'e4'), '$.log[4]: Entry e4 stands twice'];
        yield 'someone who has not joined' => [self::at('log.4.by.id', 'zed'), '$.log[4]: Ines is not on this job.'];
        yield 'a pose the spec does not know' => [
            self::at('log.3.body.pose', 'left'),
            '$.log[3]: The spec knows no figure for bars full left.',
        ];
        yield 'an instrument not on the shelf' => [
            self::at('log.3.body.instrument', 'laser'),
            '$.log[3]: “laser” is not an instrument on the shelf.',
        ];
        yield 'an id that PHP would take for a number' => [
            self::at('run.cables.0.adjusters.0.id', '7'),
            '$.run.cables[0].adjusters[0].id: an id of digits only',
        ];
        yield 'a list where an object belongs' => [self::at('run.hand', [1, 2]), '$.run.hand'];
        yield 'a state that is none' => [self::at('log.1.body.engine', 'warm'), '$.log[1].body.engine'];
    }

    #[DataProvider('bad')]
    public function test_a_bad_file_gets_one_sentence_with_its_path(callable $spoil, string $sentence): void
    {
        $file = json_decode((string) file_get_contents(self::FORMATS.'/examples/clutch-lever.json'), true);
        try {
            JobFile::replay((string) json_encode($spoil($file)));
            self::fail('It was read.');
        } catch (BadFile $refused) {
            self::assertStringContainsString($sentence, $refused->getMessage());
        }
    }

    public function test_what_is_not_json_is_said_to_be_that(): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('$: this is not JSON');
        JobFile::replay('{"format": ');
    }

    #[DataProvider('examples')]
    public function test_mutated_files_are_read_or_refused_and_nothing_else(string $json): void
    {
        $chance = new Chance(31);
        $answered = 0;
        for ($i = 0; $i < 200; $i++) {
            $spoiled = $json;
            for ($n = $chance->whole(1, 3); $n > 0; $n--) {
                $at = $chance->whole(0, strlen($spoiled) - 2);
                $spoiled = substr_replace(
                    $spoiled,
                    ['', '9', '-', '"', 'e', 'null', '{}', '[]', "\xff"][$chance->whole(0, 8)],
                    $at,
                    $chance->whole(0, 3),
                );
            }
            try {
                StateCodec::encode(JobFile::replay($spoiled));
            } catch (CoreError $refused) {
                self::assertNotSame('', $refused->getMessage(), "seed {$chance->seed}, case {$i}");
            }
            $answered++;
        }
        self::assertSame(200, $answered);
    }

    public function test_the_schema_refuses_what_the_reader_refuses_of_its_shape(): void
    {
        $json = (string) file_get_contents(self::FORMATS.'/examples/clutch-lever.json');
        self::assertFalse(self::keepsToSchema(str_replace('"working_end"', '"end"', $json)));
        self::assertFalse(self::keepsToSchema(str_replace('"turns": 1 ', '"turns": "one" ', $json)));
        self::assertFalse(self::keepsToSchema(str_replace('"lever_tip", "low_mm"', '"elsewhere", "low_mm"', $json)));
    }

    private static function keepsToSchema(string $json): bool
    {
        $schema = json_decode((string) file_get_contents(self::FORMATS.'/job-file.schema.json'));

        return (new Validator)->validate(json_decode($json), $schema)->isValid();
    }

    /** @return callable(array<string, mixed>): array<string, mixed> puts a value at a path */
    private static function at(string $path, mixed $value): callable
    {
        return static function (array $file) use ($path, $value): array {
            $place = &$file;
            foreach (explode('.', $path) as $key) {
                $place = &$place[is_numeric($key) ? (int) $key : $key];
            }
            $place = $value;

            return $file;
        };
    }
}
