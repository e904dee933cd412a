<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use LogicException;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\Keys;

/**
 * What the trade knows of one family of controls: what people come with, what may be the cause, what tells. Common
 * practice, no source.
 */
final readonly class Knowledge
{
    /**
     * @param  list<Symptom>  $symptoms
     * @param  array<string, Check>  $checks
     * @param  array<string, Cause>  $causes  the unlisted one last
     * @param  bool  $worksWhileHeld  whether what the control works goes on for as long as that is held
     */
    private function __construct(
        public array $symptoms,
        public array $checks,
        public array $causes,
        private bool $worksWhileHeld = false,
    ) {}

    /** The same, of a control by which something goes on for as long as it is held. */
    public function whileHeld(): self
    {
        return new self($this->symptoms, $this->checks, $this->causes, true);
    }

    /** @return list<Symptom> those by which nobody runs the machine until the cause is found */
    public function stopping(): array
    {
        return Symptom::stopping($this->symptoms, $this->worksWhileHeld);
    }

    /**
     * What was felt or seen by which nobody runs the machine until it is put right.
     *
     * @param  callable(string): (string|null)  $answer  what was answered to a question, by its key
     * @return list<string> in words, what was felt first
     */
    public function dangers(callable $answer): array
    {
        $felt = array_filter(
            $this->stopping(),
            static fn (Symptom $one): bool => $answer($one->value) === Evidence::YES,
        );
        $seen = array_filter(
            $this->checks,
            static fn (Check $one): bool => $one->isStoppedBy($answer($one->key)),
        );

        return [
            ...array_values(array_map(static fn (Symptom $one): string => $one->words(), $felt)),
            ...array_values(array_map(
                static fn (Check $one): string => $one->said((string) $answer($one->key)),
                $seen,
            )),
        ];
    }

    /**
     * @param  list<Symptom>  $symptoms
     * @param  list<Check>  $checks
     * @param  list<Cause>  $causes
     * @param  list<Cause>  $shared  of many families: what a family does not ask for falls away, and what it says of
     *     its own stands in place of one of these
     */
    public static function of(array $symptoms, array $checks, array $causes, array $shared = []): self
    {
        // What is on file of any cable comes with what becomes of any cable.
        $checks = [...$checks, ...($shared === [] ? [] : [Check::cableAge(), Check::lastOiled()])];
        $checks = array_combine(array_map(static fn (Check $one): string => $one->key, $checks), $checks);
        $known = array_fill_keys(array_map(static fn (Symptom $one): string => $one->value, $symptoms), true);
        foreach ($checks as $check) {
            foreach (array_keys($check->finds) as $answer) {
                $known["{$check->key}:{$answer}"] = true;
            }
        }
        $causes = array_combine(array_map(static fn (Cause $one): string => $one->key, $causes), $causes);
        foreach ($shared as $one) {
            $here = $one->only($known);
            $causes += self::isFoundBy($here) ? [$one->key => $here] : [];
        }
        $causes[Cause::OTHER] = Cause::other($symptoms);
        // An answer names what it is about by this key alone.
        Keys::mustDiffer(
            'Symptoms, checks and causes',
            [
                ...array_map(static fn (Symptom $one): string => $one->value, $symptoms),
                ...array_keys($checks),
                ...array_keys($causes),
            ],
        );
        foreach ($causes as $cause) {
            foreach (array_keys(array_diff_key($cause->links, $known)) as $unknown) {
                throw new LogicException("{$cause->key} brings about {$unknown}, which nobody asks for.");
            }
        }

        return new self(
            $symptoms,
            array_filter($checks, static fn (Check $one): bool => ! $one->isOnFile || self::isShown($one, $causes)),
            $causes,
        );
    }

    /** Whether it brings something people come with, and something that can be looked at. */
    private static function isFoundBy(Cause $cause): bool
    {
        [$brought, $seen] = [false, false];
        foreach (array_keys($cause->links) as $link) {
            $isSymptom = Symptom::tryFrom($link) !== null;
            $brought = $brought || $isSymptom;
            // How old a cable is tells of no cause by itself: something has to be seen.
            $isAge = in_array(explode(':', $link)[0], [Check::CABLE_AGE, Check::OILED], true);
            $seen = $seen || (! $isSymptom && ! $isAge);
        }

        return $brought && $seen;
    }

    /** @param  array<string, Cause>  $causes */
    private static function isShown(Check $check, array $causes): bool
    {
        foreach ($causes as $cause) {
            foreach (array_keys($check->finds) as $answer) {
                if (isset($cause->links["{$check->key}:{$answer}"])) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The same with other grades, as one who was taught the trade wrongly would have it.
     *
     * @param  callable(Grade): Grade  $grade
     */
    public function graded(callable $grade): self
    {
        return new self(
            $this->symptoms,
            $this->checks,
            array_map(
                static fn (Cause $one): Cause => $one->key === Cause::OTHER ? $one : $one->graded($grade),
                $this->causes,
            ),
            $this->worksWhileHeld,
        );
    }

    /**
     * @return array<string, list<string>> what each question may find: a symptom itself, a check its bad answers, as
     *     `check:answer`
     */
    public function questions(): array
    {
        $questions = [];
        foreach ($this->symptoms as $symptom) {
            $questions[$symptom->value] = [$symptom->value];
        }
        foreach ($this->checks as $check) {
            $questions[$check->key] = array_map(
                static fn (string $answer): string => "{$check->key}:{$answer}",
                array_keys($check->finds),
            );
        }

        return $questions;
    }
}
