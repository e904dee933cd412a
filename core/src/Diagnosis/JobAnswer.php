<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Finding;
use VividPull\Core\Procedure\Proof;

/**
 * What was seen while a cause was looked for, as the entry of the open job that says the same: an inspection, or a
 * proof. The way back is `JobEvidence`.
 */
final readonly class JobAnswer
{
    private function __construct() {}

    /** @return Draft|null null where the job asks for no such thing, or asks for more: a reading, a pose, a measure */
    public static function of(Check $check, string $answer, BenchState $state): ?Draft
    {
        $key = $check->of->key ?? '';

        return match ($check->of?->kind) {
            JobItemKind::Inspection => self::inspection($check, $key, $answer, $state),
            JobItemKind::Proof => self::proof($check, $key, $answer, $state),
            null, JobItemKind::Reading, JobItemKind::Thread, JobItemKind::Measure => null,
        };
    }

    private static function inspection(Check $check, string $key, string $answer, BenchState $state): ?Draft
    {
        if ($state->spec->inspection($key) === null) {
            return null;
        }

        return $answer === Check::RIGHT
            ? Inspected::draft($key, Finding::Sound)
            : Inspected::draft($key, Finding::Fault)->withRemark(lcfirst($check->answers()[$answer] ?? $answer));
    }

    private static function proof(Check $check, string $key, string $answer, BenchState $state): ?Draft
    {
        foreach ($state->spec->proofs($state->run) as $proof) {
            if ($proof->key !== $key || $proof->poses !== []) {
                continue;
            }
            $word = $answer === Check::RIGHT ? $proof->answers->passing[0] ?? null : self::failing($proof, $answer);

            return $word === null ? null : Checked::draft($key, $word);
        }

        return null;
    }

    /** Its own word where the proof has it; the only one that fails, where there is only one. */
    private static function failing(Proof $proof, string $answer): ?string
    {
        $failing = array_values(array_filter(
            array_map(strval(...), array_keys($proof->answers->words)),
            static fn (string $word): bool => ! $proof->passes($word),
        ));

        return match (true) {
            in_array($answer, $failing, true) => $answer,
            count($failing) === 1 => $failing[0],
            default => null,
        };
    }
}
