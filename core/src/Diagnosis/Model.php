<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * Which causes may be there, one or two at once, and how likely each thing is to be seen under each: noisy-or with
 * leaks, every hypothesis written out. Under a set of causes a thing fails to be seen only if each of them, and the
 * leak, fails to bring it about: P(seen) = 1 − (1 − leak) ∏ (1 − p). (Pearl, Probabilistic Reasoning in Intelligent
 * Systems, 1988, 4.3.2.)
 */
final readonly class Model
{
    /** The chance that a thing is seen though none of the causes brings it about (ours). */
    public const LEAK = 0.02;

    /**
     * @param  list<string>  $causes
     * @param  list<non-empty-list<int>>  $hypotheses  places of causes
     * @param  list<float>  $prior  by hypothesis, summing to one
     * @param  array<string, array<string, list<float>>>  $chances  by question and answer, by hypothesis
     */
    private function __construct(
        public array $causes,
        public array $hypotheses,
        public array $prior,
        public array $chances,
    ) {}

    public static function of(Knowledge $knowledge, Weights $weights): self
    {
        $causes = array_keys($knowledge->causes);
        $chance = array_map(
            static fn (Cause $cause): float => $weights->chance($cause),
            array_values($knowledge->causes),
        );
        $seen = [];
        foreach ($knowledge->questions() as $question => $findings) {
            foreach ($findings as $finding) {
                $seen[$question][$finding] = array_map(
                    static fn (Cause $cause): float => ($cause->links[$finding] ?? null)?->grade->chance() ?? 0.0,
                    array_values($knowledge->causes),
                );
            }
        }

        return self::ofNumbers(
            $causes,
            $chance,
            $seen,
            self::LEAK,
            array_map(static fn (Check $one): float => $one->leak(), $knowledge->checks),
        );
    }

    /**
     * @param  list<string>  $causes
     * @param  list<float>  $chance  by cause, before anything is known
     * @param  array<string, array<string, list<float>>>  $seen  by question and finding: the chance that each cause by
     *     itself brings it about
     * @param  array<string, float>  $leaks  of questions that have one of their own
     */
    public static function ofNumbers(array $causes, array $chance, array $seen, float $leak, array $leaks = []): self
    {
        [$hypotheses, $prior] = self::hypotheses($chance);
        $chances = [];
        foreach ($seen as $question => $findings) {
            $shown = array_map(
                static fn (array $by): array => self::shown($by, $hypotheses, $leaks[$question] ?? $leak),
                $findings,
            );
            $chances[$question] = isset($findings[$question])
                ? [
                    Evidence::YES => $shown[$question],
                    Evidence::NO => array_map(static fn (float $p): float => 1.0 - $p, $shown[$question]),
                ]
                : self::answers($question, $shown);
        }

        return new self($causes, $hypotheses, $prior, $chances);
    }

    /**
     * Every cause by itself, and every two of them: independent, given that there is at least one and at most two.
     *
     * @param  list<float>  $chance
     * @return array{list<non-empty-list<int>>, list<float>}
     */
    private static function hypotheses(array $chance): array
    {
        $odds = array_map(static fn (float $p): float => $p / (1.0 - $p), $chance);
        [$sets, $weights] = [[], []];
        foreach ($odds as $one => $odd) {
            $sets[] = [$one];
            $weights[] = $odd;
            for ($other = 0; $other < $one; $other++) {
                $sets[] = [$other, $one];
                $weights[] = $odd * $odds[$other];
            }
        }
        $sum = array_sum($weights);

        return [$sets, array_map(static fn (float $weight): float => $weight / $sum, $weights)];
    }

    /**
     * @param  list<float>  $by  by cause
     * @param  list<non-empty-list<int>>  $hypotheses
     * @return list<float> the chance that it is seen, by hypothesis
     */
    private static function shown(array $by, array $hypotheses, float $leak): array
    {
        return array_map(static function (array $set) use ($by, $leak): float {
            $not = 1.0 - $leak;
            foreach ($set as $cause) {
                $not *= 1.0 - $by[$cause];
            }

            return 1.0 - $not;
        }, $hypotheses);
    }

    /**
     * What one look shows: nothing wrong, or one thing; of two that exclude each other both are never seen.
     *
     * @param  array<string, list<float>>  $shown  by `check:answer`
     * @return array<string, list<float>> by answer
     */
    private static function answers(string $question, array $shown): array
    {
        $answers = [];
        foreach (array_keys($shown === [] ? [] : reset($shown)) as $h) {
            $none = array_product(array_map(static fn (array $one): float => 1.0 - $one[$h], $shown));
            $each = [Check::RIGHT => $none];
            foreach ($shown as $finding => $one) {
                $each[substr($finding, strlen($question) + 1)] = $none * $one[$h] / (1.0 - $one[$h]);
            }
            $sum = array_sum($each);
            foreach ($each as $answer => $weight) {
                $answers[$answer][] = $weight / $sum;
            }
        }

        return $answers;
    }
}
