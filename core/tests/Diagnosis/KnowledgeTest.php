<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Diagnosis;

use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use ReflectionClass;
use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Diagnosis\Knowledge\Remedies;
use VividPull\Core\Diagnosis\Model;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;

/**
 * What the trade knows of causes is whole: nothing is asked that tells nothing, nothing is blamed that nobody can find.
 */
final class KnowledgeTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    /**
     * By what nobody runs the machine until the cause is found. Common practice, no source.
     *
     * @return iterable<string, array{FamilyKey, list<string>}>
     */
    public static function stopping(): iterable
    {
        $stopping = [
            'clutch_lever' => ['creeps_in'],
            'automatic_clutch' => ['creeps_out'],
            'hydraulic_clutch' => ['creeps_in'],
            // A grip that does not come back by itself stays open, whatever it is called.
            'twist_grip' => ['stays_open', 'idle_rises', 'no_spring_back'],
            'trigger_throttle' => ['stays_open', 'creeps_out', 'no_spring_back'],
            'pedal_throttle' => ['too_fast', 'stays_open', 'no_spring_back'],
            // And a handle that drives or turns something goes on with it.
            'sliding_drive' => ['creeps_out', 'no_spring_back'],
            'engage_by_pull' => ['creeps_out', 'no_spring_back'],
            'bail' => ['runs_on', 'no_spring_back'],
            'hook_control' => ['creeps_out', 'no_spring_back'],
            // A lever that is pulled to stop the drive stays stopped.
            'release_by_pull' => ['creeps_in'],
            'speed_selector' => ['wrong_direction', 'creeps_out'],
            'mode_cables' => ['does_not_hold'],
            'brake_pull' => ['does_not_hold'],
            'other_control' => ['creeps_out', 'does_not_hold'],
        ];
        foreach (FamilyKey::cases() as $family) {
            yield $family->value => [$family, $stopping[$family->value]];
        }
    }

    /** @param  list<string>  $stopping */
    #[DataProvider('stopping')]
    public function test_what_stops_the_machine(FamilyKey $family, array $stopping): void
    {
        self::assertEqualsCanonicalizing(
            $stopping,
            array_map(static fn (Symptom $one): string => $one->value, Causes::of($family)->stopping()),
        );
    }

    #[DataProvider('families')]
    public function test_what_a_job_runs_nothing_with_stops_the_machine_where_a_cause_is_looked_for_too(FamilyKey $family): void
    {
        $spec = FamilyJob::of($family)->state;
        $atRest = [];
        foreach (Families::of($family)->gates() as $gate) {
            $atRest[$gate->key->value] = $gate->isAtRest;
        }
        $gates = [];
        foreach ([...Families::of($family)->lookOver(), ...$spec->spec->proofs($spec->run)] as $asked) {
            $gates[$asked->key] = $asked->gate;
        }
        foreach (Causes::of($family)->checks as $check) {
            $gate = $gates[$check->of->key ?? ''] ?? null;
            if ($gate !== null && ($atRest[$gate->value] ?? false)) {
                self::assertSame(array_keys($check->finds), $check->stopsOn, "{$check->key} is of the gate {$gate->value}");
            }
            self::assertSame([], array_diff($check->stopsOn, array_keys($check->finds)), $check->key);
        }
    }

    #[DataProvider('families')]
    public function test_each_cause_brings_something_people_come_with_and_something_that_can_be_looked_at(FamilyKey $family): void
    {
        foreach (Causes::of($family)->causes as $cause) {
            $symptoms = array_filter(
                array_keys($cause->links),
                static fn (string $seen): bool => Symptom::tryFrom($seen) !== null,
            );
            self::assertNotSame([], $symptoms, "{$cause->key} brings nothing anybody would come with");
            self::assertTrue(
                $cause->key === Cause::OTHER || count($symptoms) < count($cause->links),
                "{$cause->key} cannot be looked for",
            );
            self::assertGreaterThan(0.0, $cause->minutes);
            self::assertMatchesRegularExpression('/\.$/', $cause->cure);
        }
    }

    #[DataProvider('families')]
    public function test_a_cause_that_is_no_setting_has_its_own_steps(FamilyKey $family): void
    {
        foreach (Causes::of($family)->causes as $cause) {
            $remedy = Remedies::of($family, $cause);
            if ($cause->wants !== null || $cause->key === Cause::OTHER) {
                self::assertNull($remedy, "{$cause->key} is set by its job");

                continue;
            }
            self::assertNotNull($remedy, "nobody says how {$cause->key} is put right");
            self::assertGreaterThan(1, count($remedy->steps), $cause->key);
            foreach ([...$remedy->steps, ...($remedy->caution === null ? [] : [$remedy->caution])] as $step) {
                self::assertMatchesRegularExpression('/^[A-Z].*[.]$/u', $step, $cause->key);
            }
        }
    }

    public function test_no_steps_are_written_for_what_is_no_cause(): void
    {
        preg_match_all(
            "/^            (?:\\[FamilyKey::\\w+, )?('\\w+'(?:, '\\w+')*)\\]? => Remedy/m",
            (string) file_get_contents((string) (new ReflectionClass(Remedies::class))->getFileName()),
            $found,
        );
        $written = array_unique(explode(', ', str_replace("'", '', implode(', ', $found[1]))));
        $known = array_merge(...array_map(
            static fn (FamilyKey $family): array => array_keys(Causes::of($family)->causes),
            FamilyKey::cases(),
        ));

        self::assertGreaterThan(60, count($written));
        self::assertSame([], array_values(array_diff($written, $known)));
    }

    #[DataProvider('families')]
    public function test_nothing_is_asked_that_speaks_for_no_cause(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        $listed = array_diff_key($knowledge->causes, [Cause::OTHER => true]);
        foreach (array_merge(...array_values($knowledge->questions())) as $finding) {
            self::assertNotSame(
                [],
                array_filter($listed, static fn (Cause $one): bool => isset($one->links[$finding])),
                "nothing brings about {$finding}",
            );
        }
    }

    #[DataProvider('families')]
    public function test_what_is_looked_at_elsewhere_too_is_called_as_it_is_there(FamilyKey $family): void
    {
        $declared = Families::of($family);
        $inspections = array_map(static fn ($one): string => "inspection:{$one->key}", $declared->lookOver());
        $proofs = array_map(static fn (string $file): string => $file, self::proofs($family));
        $measures = array_map(static fn (MeasureKey $one): string => "measure:{$one->value}", MeasureKey::cases());
        foreach (Causes::of($family)->checks as $check) {
            if ($check->of !== null) {
                $called = strtolower($check->of->kind->name).($check->of->key === '' ? '' : ":{$check->of->key}");
                self::assertContains(
                    $called,
                    ['reading', 'thread', ...$inspections, ...$proofs, ...$measures],
                    "{$check->key} is called {$called}",
                );
            }
        }
        self::assertNotSame([], $inspections);
    }

    /** @return list<string> every proof the family names, on whatever run */
    private static function proofs(FamilyKey $family): array
    {
        $files = [(string) (new ReflectionClass(Families::of($family)))->getFileName()];
        $class = (new ReflectionClass(Families::of($family)))->getParentClass();
        while ($class !== false) {
            $files[] = (string) $class->getFileName();
            $class = $class->getParentClass();
        }
        preg_match_all(
            "/Proof::(?:yesIsRight|choice)\(\s*(?:'(\w+)'|Proof::WIDE_OPEN)/",
            implode('', array_map(file_get_contents(...), $files)),
            $found,
        );

        return array_map(static fn (string $key): string => 'proof:'.($key === '' ? 'wide_open' : $key), $found[1]);
    }

    public function test_every_symptom_people_start_from_is_known_in_some_family(): void
    {
        $known = array_merge(...array_map(
            static fn (FamilyKey $key): array => Causes::of($key)->symptoms,
            FamilyKey::cases(),
        ));

        self::assertSame(
            [],
            array_udiff(
                Symptom::cases(),
                $known,
                static fn (Symptom $one, Symptom $other): int => $one->value <=> $other->value,
            ),
        );
    }

    /** Common practice, no source: what is mistaken for a bad adjustment. */
    public function test_the_imitators_of_a_bad_adjustment_are_among_the_causes(): void
    {
        $imitators = [];
        foreach (FamilyKey::cases() as $key) {
            foreach (Causes::of($key)->causes as $cause) {
                $imitators += $cause->isImitator ? [$cause->key => true] : [];
            }
        }
        foreach ([
            'bent_bracket', 'broken_peg', 'weak_return', 'wrong_spline', 'worn_rod', 'stretched_belt', 'hot',
            'wrong_oil', 'out_of_groove',
        ] as $one) {
            self::assertArrayHasKey($one, $imitators);
        }
    }

    #[DataProvider('families')]
    public function test_a_family_is_a_few_hundred_hypotheses_at_most(FamilyKey $family): void
    {
        $model = Model::of(Causes::of($family), Weights::ofTheTrade());

        self::assertLessThanOrEqual(400, count($model->hypotheses));
        self::assertEqualsWithDelta(1.0, array_sum($model->prior), 1e-9);
        foreach ($model->chances as $question => $answers) {
            foreach (array_keys($model->hypotheses) as $h) {
                self::assertEqualsWithDelta(1.0, array_sum(array_column($answers, $h)), 1e-9, $question);
            }
        }
    }

    #[DataProvider('families')]
    public function test_no_two_causes_of_a_family_are_called_the_same_and_no_two_checks(FamilyKey $family): void
    {
        $knowledge = Causes::of($family);
        foreach ([$knowledge->causes, $knowledge->checks] as $all) {
            $labels = array_column($all, 'label');
            self::assertSame(array_unique($labels), $labels, 'one would stand there twice, and weigh twice');
        }
    }

    /** Schools differ on it: too tight, or a drive that does not let go; no one cause is named alone. */
    public function test_hard_to_pull_back_is_never_the_setting_alone(): void
    {
        foreach (FamilyKey::cases() as $key) {
            $knowledge = Causes::of($key);
            if (in_array(Symptom::HardToPullBack, $knowledge->symptoms, true)) {
                $bring = array_filter(
                    $knowledge->causes,
                    static fn (Cause $one): bool => isset($one->links[Symptom::HardToPullBack->value]),
                );
                self::assertGreaterThanOrEqual(2, count($bring), $key->value);
                self::assertContains(true, array_column($bring, 'isImitator'), $key->value);
            }
        }
    }

    public function test_a_check_and_a_cause_never_share_a_key(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('leak');

        Knowledge::of(
            [Symptom::Soft],
            [Check::of('leak', 'Lines', 'Look.', 'Dry', ['wet' => 'Wet'], 3)],
            [Cause::of('leak', 'A leak', Commonness::Rare, 'Mend it.', 60)->shows(
                'leak:wet',
                Grade::Always,
                'it is seen',
            )],
        );
    }

    public function test_a_link_to_what_nobody_asks_is_refused(): void
    {
        $this->expectException(LogicException::class);
        $this->expectExceptionMessage('mouse brings about oil:wrong, which nobody asks for.');

        Knowledge::of(
            [Symptom::Slips],
            [Check::play()],
            [Cause::of('mouse', 'A mouse', Commonness::Rare, 'A cat.', 5)->shows(
                'oil:wrong',
                Grade::Always,
                'it drank',
            )],
        );
    }

    public function test_grades_are_numbers_in_order(): void
    {
        $chances = array_map(static fn (Grade $one): float => $one->chance(), Grade::cases());
        $sorted = $chances;
        rsort($sorted);
        self::assertSame($sorted, $chances);
        self::assertSame(
            [Grade::Sometimes, Grade::Never, Grade::Always],
            [Grade::Always->shifted(2), Grade::Rarely->shifted(2), Grade::Usually->shifted(-2)],
        );
    }
}
