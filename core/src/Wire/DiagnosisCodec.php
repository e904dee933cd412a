<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Diagnosis;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Diagnosis\Knowledge\Remedies;
use VividPull\Core\Diagnosis\NextStep;
use VividPull\Core\Diagnosis\Ranked;
use VividPull\Core\Diagnosis\StepKind;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Input\Node;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/** What is known of a complaint, from the wire, and what follows from it, to the wire. */
final readonly class DiagnosisCodec
{
    public const FORMAT = 'vivid-pull/diagnosis@1';

    public const MOST_COUNTED = 100_000;

    /**
     * A file with what is known, and what follows from it.
     *
     * @return array<string, mixed>
     *
     * @throws BadFile If the file is not what its schema says.
     */
    public static function answer(string $json): array
    {
        $node = Node::fromJson($json)->object(
            ['format', 'family'],
            ['symptoms', 'evidence', 'tried', 'skipped', 'covers_off', 'counted', 'by_phone'],
        );
        if ($node->at('format')->value !== self::FORMAT) {
            throw BadFile::at('$.format', 'this is not “'.self::FORMAT.'”, the only format read here.');
        }
        $family = $node->at('family')->enum(FamilyKey::class);
        $knowledge = Causes::of($family);

        return self::encode(
            $family,
            self::evidence($node, $knowledge),
            $node->has('counted')
                ? Weights::counted(self::counts($node->at('counted'), $knowledge))
                : Weights::ofTheTrade(),
            $node->flag('by_phone'),
        );
    }

    private static function evidence(Node $node, Knowledge $knowledge): Evidence
    {
        $evidence = Evidence::none();
        foreach ($node->has('symptoms') ? $node->at('symptoms')->entries() : [] as $symptom => $answer) {
            $evidence = self::symptom($evidence, $knowledge, $symptom, $answer);
        }
        foreach ($node->has('evidence') ? $node->at('evidence')->entries() : [] as $check => $answer) {
            $evidence = self::check($evidence, $knowledge, $check, $answer);
        }
        if ($evidence->seen === []) {
            throw BadFile::at($node->path, 'say what is wrong: a symptom, or something that was looked at.');
        }
        foreach ($node->has('tried') ? $node->at('tried')->items(40) : [] as $one) {
            $evidence = $evidence->curedInVain(self::cause($one, $knowledge));
        }
        foreach ($node->has('skipped') ? $node->at('skipped')->items(60) : [] as $one) {
            $evidence = $evidence->skipped(self::known(
                $one->string(40),
                $one,
                array_keys($knowledge->questions()),
                'nothing that is asked in this family',
            ));
        }
        foreach ($node->has('covers_off') ? $node->at('covers_off')->items(20) : [] as $one) {
            $evidence = $evidence->coverOff($one->string(60));
        }

        return $evidence;
    }

    /** `yes`, `no` or `not_tried`. */
    public static function symptom(Evidence $evidence, Knowledge $knowledge, string $symptom, Node $answer): Evidence
    {
        self::known(
            $symptom,
            $answer,
            array_map(static fn (Symptom $one): string => $one->value, $knowledge->symptoms),
            'no symptom of this family',
        );
        $said = self::known(
            $answer->string(20),
            $answer,
            [Evidence::YES, Evidence::NO, 'not_tried'],
            'no answer to it',
        );

        return $said === 'not_tried' ? $evidence : $evidence->answered($symptom, $said);
    }

    /** An answer, or how likely what was seen is under each of them. */
    public static function check(Evidence $evidence, Knowledge $knowledge, string $key, Node $answer): Evidence
    {
        self::known($key, $answer, array_keys($knowledge->checks), 'no check of this family');
        $answers = array_keys($knowledge->checks[$key]->answers());
        if (is_string($answer->value)) {
            return $evidence->answered($key, self::known($answer->string(40), $answer, $answers, 'no answer to it'));
        }
        $likelihoods = [];
        foreach ($answer->entries() as $word => $likelihood) {
            $likelihoods[self::known($word, $likelihood, $answers, 'no answer to it')] = $likelihood->number(0, 1);
        }
        if (array_sum($likelihoods) <= 0.0) {
            throw BadFile::at($answer->path, 'one of its answers must be possible.');
        }

        return $evidence->likely($key, $likelihoods);
    }

    /** Anything that is asked, or a cause that was tried. */
    public static function question(Node $node, Knowledge $knowledge): string
    {
        return self::known(
            $node->string(40),
            $node,
            [...array_keys($knowledge->questions()), ...array_keys($knowledge->causes)],
            'nothing that is asked in this family',
        );
    }

    public static function cause(Node $node, Knowledge $knowledge): string
    {
        return self::known($node->string(40), $node, array_keys($knowledge->causes), 'no cause of this family');
    }

    /** @return array<string, int> jobs, by cause of the family */
    public static function counts(Node $node, Knowledge $knowledge): array
    {
        $counts = [];
        foreach ($node->entries() as $cause => $count) {
            $known = self::known($cause, $count, array_keys($knowledge->causes), 'no cause of this family');
            $counts[$known] = $count->integer(0, self::MOST_COUNTED);
        }

        return $counts;
    }

    /** @param  list<string>  $known */
    private static function known(string $word, Node $node, array $known, string $isNot): string
    {
        return in_array($word, $known, true)
            ? $word
            : throw BadFile::at($node->path, Quoted::text($word)." is {$isNot}. Known are: ".implode(', ', $known).'.');
    }

    /** @return array<string, mixed> */
    public static function encode(FamilyKey $family, Evidence $evidence, Weights $weights, bool $byPhone): array
    {
        $knowledge = Causes::of($family);
        $diagnosis = Diagnosis::of($knowledge, $weights, $evidence, $byPhone);

        return [
            'family' => $family->value,
            'do_not_run' => $diagnosis->stoppedBy !== [],
            'symptoms' => array_map(
                static fn (Symptom $one): array => [
                    'key' => $one->value,
                    'words' => $one->words(),
                    'answer' => $evidence->answer($one->value),
                ],
                $knowledge->symptoms,
            ),
            'causes' => array_map(static fn (Ranked $one): array => self::ranked($one, $weights), $diagnosis->causes),
            'counted' => $weights->total(),
            'next' => self::step($diagnosis->next, $knowledge, $family),
            'checks' => array_map(
                static fn (Check $one): array => self::look($one, $evidence),
                array_values($knowledge->checks),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function ranked(Ranked $one, Weights $weights): array
    {
        return [
            'key' => $one->cause->key,
            'label' => $one->cause->label,
            'chance' => round($one->chance, 6),
            'for' => $one->for,
            'against' => $one->against,
            'ruled_out' => $one->isRuledOut,
            'imitates' => $one->cause->isImitator,
            'wants' => $one->cause->wants?->value,
            'cure' => $one->cause->cure,
            'minutes' => $one->cause->minutes,
            'counted' => $weights->found[$one->cause->key] ?? 0,
        ];
    }

    /** @return array<string, mixed> */
    private static function step(NextStep $next, Knowledge $knowledge, FamilyKey $family): array
    {
        $remedy = $next->kind === StepKind::Cure ? Remedies::of($family, $knowledge->causes[$next->key]) : null;
        $check = $knowledge->checks[$next->key] ?? null;
        $labels = match ($next->kind) {
            StepKind::Check => $check?->answers() ?? [],
            StepKind::Ask => [Evidence::YES => 'Yes', Evidence::NO => 'No'],
            StepKind::Cure, StepKind::BringIn, StepKind::Unexplained => [],
        };

        return [
            'kind' => $next->kind->value,
            'key' => $next->key,
            'label' => $check->label
                ?? ($next->kind === StepKind::Ask
                    ? Symptom::from($next->key)->words()
                    : ($knowledge->causes[$next->key] ?? Cause::other([]))->label),
            'sentence' => $next->sentence,
            'why' => $next->why,
            'minutes' => $next->minutes,
            'expected' => round($next->expected, 2),
            'cover' => $check?->effort->cover,
            'tools' => $check->effort->tools ?? $remedy?->tools,
            'caution' => self::words($next->before, $check?->effort->caution, $remedy?->caution),
            'steps' => $remedy->steps ?? [],
            'answers' => array_map(
                static fn (string $key, string $label): array => [
                    'key' => $key,
                    'label' => $label,
                    'means' => $next->meanings[$key] ?? '',
                ],
                array_keys($labels),
                array_values($labels),
            ),
        ];
    }

    /** What is said of it together; null where nothing is. */
    private static function words(?string ...$said): ?string
    {
        $said = array_filter($said, static fn (?string $one): bool => $one !== null);

        return $said === [] ? null : implode(' ', $said);
    }

    /** @return array<string, mixed> */
    private static function look(Check $one, Evidence $evidence): array
    {
        $answer = $evidence->answer($one->key);

        return [
            'key' => $one->key,
            'label' => $one->label,
            'answer' => $answer,
            'words' => $answer === null ? null : $one->answers()[$answer],
            'skipped' => in_array($one->key, $evidence->skipped, true),
            'answers' => $one->isOnFile
                ? []
                : array_map(
                    static fn (string $key, string $label): array => ['key' => $key, 'label' => $label],
                    array_keys($one->answers()),
                    array_values($one->answers()),
                ),
        ];
    }
}
