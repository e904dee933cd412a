<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Diagnosis;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Belief;
use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Diagnosis\Looks;
use VividPull\Core\Diagnosis\Model;
use VividPull\Core\Procedure\Symptom;

/**
 * Chances of causes against an enumeration in R that shares nothing with the core
 * (`core/tests/References/diagnoses.R`).
 */
final class InferenceTest extends TestCase
{
    private const FILE = __DIR__.'/../References/diagnoses.json';

    public function test_two_hundred_networks_agree_with_r(): void
    {
        /**
         * @var list<array{
         *     prior: list<float>, questions: list<array{look: int, findings: list<list<float>>, seen: list<float>}>,
         *     chances: list<float>,
         * }> $cases
         */
        $cases = json_decode((string) file_get_contents(self::FILE), true, flags: JSON_THROW_ON_ERROR);
        self::assertCount(200, $cases);
        $worst = 0.0;
        foreach ($cases as $case) {
            $names = array_map(static fn (int $n): string => "cause {$n}", array_keys($case['prior']));
            [$seen, $evidence] = [[], Evidence::none()];
            foreach ($case['questions'] as $q => $question) {
                $finds = $question['look'] === 0
                    ? ["q{$q}"]
                    : array_map(static fn (int $f): string => "q{$q}:f{$f}", array_keys($question['findings']));
                $answers = $question['look'] === 0
                    ? [Evidence::YES, Evidence::NO]
                    : [
                        Check::RIGHT,
                        ...array_map(static fn (int $f): string => "f{$f}", array_keys($question['findings'])),
                    ];
                $seen["q{$q}"] = array_combine($finds, $question['findings']);
                $evidence = $evidence->likely("q{$q}", array_combine($answers, $question['seen']));
            }
            $chances = Belief::of(Model::ofNumbers($names, $case['prior'], $seen, 0.02), $evidence)->chances();
            foreach ($case['chances'] as $n => $expected) {
                $worst = max($worst, abs($expected - $chances["cause {$n}"]));
            }
        }
        self::assertLessThan(1e-9, $worst);
    }

    public function test_a_certain_sign_of_one_cause_names_it(): void
    {
        $belief = Belief::of(
            Model::ofNumbers(['rare', 'common'], [0.01, 0.4], ['sign' => ['sign' => [1.0, 0.0]]], 0.0),
            Evidence::none()->answered('sign', Evidence::YES),
        );

        self::assertSame(1.0, $belief->chances()['rare']);
    }

    public function test_what_contradicts_everything_is_no_belief(): void
    {
        $model = Model::ofNumbers(['only'], [0.3], ['sign' => ['sign' => [1.0]]], 0.0);

        self::assertFalse(Belief::of($model, Evidence::none()->answered('sign', Evidence::NO))->isPossible());
        self::assertFalse(Belief::of($model, Evidence::none()->curedInVain('only'))->isPossible());
    }

    public function test_what_was_put_right_in_vain_is_there_no_more_and_takes_no_more_minutes(): void
    {
        $model = Model::ofNumbers(['one', 'other'], [0.2, 0.2], [], 0.0);
        $belief = Belief::of($model, Evidence::none()->curedInVain('one'));

        // {other}: 0.25, {one, other}: 0.0625 of the odds; in both it is the other now.
        self::assertEqualsWithDelta(['one' => 0.0, 'other' => 1.0], $belief->chances(), 1e-12);
    }

    public function test_minutes_left_are_what_a_list_of_them_gives(): void
    {
        $cause = static fn (string $key, float $minutes): Cause => Cause::of(
            $key,
            $key,
            Commonness::Common,
            'Mend it.',
            $minutes,
        )
            ->brings(Symptom::Slips, Grade::Usually, 'it slips')
            ->shows("look_{$key}:bad", Grade::Always, 'it is seen');
        $check = static fn (string $key, float $minutes): Check => Check::of(
            $key,
            $key,
            'Look.',
            'Good',
            ['bad' => 'Bad'],
            $minutes,
        )->under('lid', 10.0);
        $knowledge = Knowledge::of(
            [Symptom::Slips],
            [$check('look_one', 2.0), $check('look_two', 6.0)],
            [$cause('one', 40.0), $cause('two', 50.0)],
        );
        $belief = Belief::of(Model::ofNumbers(['one', 'two', 'other'], [0.2, 0.2, 1e-12], [], 0.0), Evidence::none());

        // Alone 0.25 each of the odds, both 0.0625: shares 4/9, 4/9, 1/9. The lid and one: 12 min; two as well: 18.
        self::assertEqualsWithDelta(
            4 / 9 * (12 + 40) + 4 / 9 * (18 + 50) + 1 / 9 * (18 + 90),
            $belief->minutesLeft(Looks::of($knowledge, [], [], [])),
            1e-6,
        );
        // With the lid off, 2 and 8. With one of them answered, it is put right and tried: 8 min under the lid for two,
        // then 40.
        self::assertEqualsWithDelta(
            4 / 9 * (2 + 40) + 4 / 9 * (8 + 50) + 1 / 9 * (8 + 90),
            $belief->minutesLeft(Looks::of($knowledge, [], ['lid' => true], [])),
            1e-6,
        );
        self::assertEqualsWithDelta(
            4 / 9 * 56 + 4 / 9 * (16 + 50) + 1 / 9 * (56 + 50),
            $belief->minutesLeft(Looks::of($knowledge, ['look_one' => true], [], [])),
            1e-6,
        );
    }
}
