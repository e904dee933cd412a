<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Wire\DiagnosisCodec;

/** A diagnosis from a file: the examples, and what is wrong with others in one sentence. */
final class DiagnosisCodecTest extends TestCase
{
    private const FORMATS = __DIR__.'/../../../docs/formats';

    /** @return iterable<string, array{string, string}> */
    public static function examples(): iterable
    {
        yield 'slipping-clutch' => ['slipping-clutch', 'arm_free'];
        yield 'wrong-way-in-reverse' => ['wrong-way-in-reverse', 'r1'];
        yield 'by-phone' => ['by-phone', 'rope_hard'];
    }

    #[DataProvider('examples')]
    public function test_an_example_keeps_to_the_schema_and_comes_to_its_next_step(string $name, string $next): void
    {
        $json = (string) file_get_contents(self::FORMATS."/examples/diagnoses/{$name}.json");
        self::assertTrue(self::keepsToSchema($json), $name);
        $answer = DiagnosisCodec::answer($json);
        self::assertIsArray($answer['next']);
        self::assertSame($next, $answer['next']['key']);
        self::assertIsArray($answer['causes']);
        $chances = array_column($answer['causes'], 'chance');
        $sorted = $chances;
        rsort($sorted);
        self::assertSame($sorted, $chances);
        self::assertSame($answer, DiagnosisCodec::answer($json), 'the same file, the same answer');
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        yield 'no JSON' => ['slips', '$: this is not JSON'];
        yield 'another format' => [
            '{"format": "x", "family": "bail"}',
            '$.format: this is not “vivid-pull/diagnosis@1”',
        ];
        yield 'no family' => ['{"format": "vivid-pull/diagnosis@1", "family": "rudder"}', '$.family'];
        yield 'nothing known' => [self::file(), '$: say what is wrong: a symptom, or something that was looked at.'];
        yield 'a symptom of another family' => [
            self::file('"symptoms": {"rope_hard": "yes"}'),
            '$.symptoms.rope_hard: “rope_hard” is no symptom of this family.',
        ];
        yield 'an answer nobody knows' => [
            self::file('"symptoms": {"slips": "perhaps"}'),
            '$.symptoms.slips: “perhaps” is no answer to it. Known are: yes, no, not_tried.',
        ];
        yield 'only what was not tried' => [self::file('"symptoms": {"slips": "not_tried"}'), 'say what is wrong'];
        yield 'a check nobody makes' => [
            self::file('"evidence": {"smell": "bad"}'),
            '$.evidence.smell: “smell” is no check of this family.',
        ];
        yield 'an answer the check has not' => [
            self::file('"evidence": {"play": "odd"}'),
            '$.evidence.play: “odd” is no answer to it. Known are: right, tight, loose.',
        ];
        yield 'nothing possible' => [
            self::file('"evidence": {"play": {"tight": 0}}'),
            '$.evidence.play: one of its answers must be possible.',
        ];
        yield 'more than certain' => [self::file('"evidence": {"play": {"tight": 1.5}}'), '$.evidence.play.tight'];
        yield 'a cause nobody lists' => [
            self::file('"symptoms": {"slips": "yes"}, "tried": ["gremlins"]'),
            '$.tried[0]: “gremlins” is no cause of this family.',
        ];
        yield 'a count below nothing' => [
            self::file('"symptoms": {"slips": "yes"}, "counted": {"too_tight": -1}'),
            '$.counted.too_tight',
        ];
        yield 'a key nobody knows' => [self::file('"mood": "bad"'), 'the key “mood” is not known here.'];
    }

    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said_with_the_path_to_it(string $json, string $sentence): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage($sentence);

        DiagnosisCodec::answer($json);
    }

    public function test_what_a_reading_makes_likely_counts_for_its_share(): void
    {
        $tight = static fn (string $evidence): float => self::chance(
            self::file("\"symptoms\": {\"slips\": \"yes\"}, \"evidence\": {\"play\": {$evidence}}"),
            'too_tight',
        );

        self::assertGreaterThan($tight('{"tight": 0.5, "right": 0.5}'), $tight('"tight"'));
        self::assertGreaterThan($tight('"right"'), $tight('{"tight": 0.5, "right": 0.5}'));
        self::assertEqualsWithDelta(
            $tight('{"tight": 0.2, "right": 0.2, "loose": 0.2}'),
            self::chance(self::file('"symptoms": {"slips": "yes"}'), 'too_tight'),
            1e-6,
            'what is equally likely under all says nothing',
        );
    }

    private static function chance(string $json, string $cause): float
    {
        /** @var list<array{key: string, chance: float}> $causes */
        $causes = DiagnosisCodec::answer($json)['causes'];

        return array_column($causes, 'chance', 'key')[$cause];
    }

    private static function file(string $more = ''): string
    {
        return '{"format": "vivid-pull/diagnosis@1", "family": "clutch_lever"'.($more === '' ? '' : ", {$more}").'}';
    }

    private static function keepsToSchema(string $json): bool
    {
        return (new Validator)
            ->validate(
                json_decode($json),
                json_decode((string) file_get_contents(self::FORMATS.'/diagnosis.schema.json')),
            )
            ->isValid();
    }
}
