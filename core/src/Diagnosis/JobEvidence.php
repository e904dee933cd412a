<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Finding;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Spec\PullFigure;
use VividPull\Core\Trace\Reached;
use VividPull\Core\Trace\TraceSummary;

/**
 * What a job on the control has told already, as evidence of its own: nothing on file is asked again. A look is the
 * same look wherever it is made (`Check::$of`): a reading, an inspection, a proof, where the adjusters stand.
 */
final readonly class JobEvidence
{
    /**
     * Of a hundred wrong splines a curve finds so many, and of a hundred right ones it suspects so many
     * (`docs/trials.md`).
     */
    private const FOUND = 0.95;

    private const FALSELY = 0.02;

    private function __construct(private BenchState $state) {}

    public static function of(BenchState $state, Knowledge $knowledge): Evidence
    {
        $evidence = Evidence::none();
        $job = new self($state);
        foreach ($knowledge->checks as $check) {
            $seen = $job->seen($check);
            $seen = $seen === [] ? $job->traced($check) : $seen;
            $evidence = $seen === [] ? $evidence : $evidence->likely($check->key, $seen);
        }

        return $evidence;
    }

    /**
     * @return array<string, float> by answer, how likely what the job knows is under it; empty where it knows nothing
     */
    private function seen(Check $check): array
    {
        $key = $check->of->key ?? '';

        return match ($check->of?->kind) {
            null => [],
            JobItemKind::Reading => $this->reading(),
            JobItemKind::Inspection => $this->inspection($check, $key),
            JobItemKind::Proof => $this->proof($check, $key),
            JobItemKind::Thread => $this->thread(),
            JobItemKind::Measure => $this->measure($check, $key),
        };
    }

    /**
     * What a pull kept as a curve says, since the last move: found and falsely found as often as on levers with known
     * breaks.
     *
     * @return array<string, float>
     */
    private function traced(Check $check): array
    {
        $last = $this->state->facts->observations->curveSince($this->state->facts->readings->movedAt);

        return match (true) {
            $last === null => [],
            isset($check->finds['return_only']) => match ($last->told->reached) {
                Reached::ReturnOnly => ['return_only' => self::FOUND, Check::RIGHT => self::FALSELY],
                Reached::Yes => [Check::RIGHT => self::FOUND, 'return_only' => self::FALSELY],
                Reached::CannotTell => [],
            },
            $check->key === 'drag' => $this->dragged($last->told),
            default => [],
        };
    }

    /**
     * @return array<string, float> a wire that catches, or loses more than a new one; how surely a curve tells of it is
     *     ours
     */
    private function dragged(TraceSummary $told): array
    {
        $fresh = $this->state->spec->other(PullFigure::class)?->fresh;
        $isDry = $told->efficiency !== null && $fresh !== null && $fresh->isDrier($told->efficiency);

        return match (true) {
            $told->snags > 0, $isDry => ['stiff' => 0.9, Check::RIGHT => 0.1],
            $told->efficiency !== null && $fresh !== null => ['stiff' => 0.2, Check::RIGHT => 0.8],
            default => [],
        };
    }

    /** @return array<string, float> */
    private function reading(): array
    {
        $now = $this->state->judgement->now;
        $mean = $this->state->judgement->nowGroup?->found->mean;
        $band = $this->state->spec->aim?->band;

        return match ($now->kind) {
            VerdictKind::Inside => [Check::RIGHT => 1.0],
            VerdictKind::TooTight, VerdictKind::Taut => ['tight' => 1.0],
            VerdictKind::TooLoose => ['loose' => 1.0],
            VerdictKind::CantTell => $now->chanceInside === null || $mean === null || $band === null ? []
                : [
                    Check::RIGHT => $now->chanceInside,
                    ($mean - $band->floor() < $band->ceiling() - $mean ? 'tight' : 'loose') => 1.0 - $now->chanceInside,
                ],
            default => [],
        };
    }

    /** @return array<string, float> a fault is one of the things that may be found; *noted* says nothing */
    private function inspection(Check $check, string $key): array
    {
        return match ($this->state->facts->answers->inspected[$key]->finding ?? null) {
            Finding::Sound => [Check::RIGHT => 1.0],
            Finding::Fault => array_fill_keys(array_keys($check->finds), 1.0),
            default => [],
        };
    }

    /** @return array<string, float> */
    private function proof(Check $check, string $key): array
    {
        $proofs = array_filter(
            $this->state->spec->proofs($this->state->run),
            static fn (Proof $one): bool => $one->key === $key,
        );
        $proof = array_shift($proofs);
        $given = array_filter(
            $this->state->facts->answers->checks,
            static fn (Checked $one): bool => $one->key === $key && $one->answer !== Proof::NOT_HERE,
        );
        if ($proof === null || $given === []) {
            return [];
        }
        $failed = array_filter($given, fn (Checked $one): bool => ! $this->state->facts->passes($proof, $one));
        if ($failed === []) {
            return [Check::RIGHT => 1.0];
        }
        $word = reset($failed)->answer;

        return isset($check->finds[$word]) ? [$word => 1.0] : array_fill_keys(array_keys($check->finds), 1.0);
    }

    /** @return array<string, float> a part that was measured, against its limit */
    private function measure(Check $check, string $key): array
    {
        foreach ($this->state->judgement->measures as $one) {
            if ($one->measure->key->value === $key && $one->found !== null) {
                return match (true) {
                    $one->verdict->kind->isOutside() => array_fill_keys(array_keys($check->finds), 1.0),
                    $one->isWhole() && $one->verdict->is(VerdictKind::Inside) => [Check::RIGHT => 1.0],
                    default => [],
                };
            }
        }

        return [];
    }

    /** @return array<string, float> */
    private function thread(): array
    {
        $at = $this->state->facts->adjusters->positions;
        $known = array_filter(
            $this->state->run->playAdjusters(),
            static fn (Adjuster $one): bool => ($at[$one->id()] ?? null) !== null,
        );
        if ($known === [] || count($known) < count($this->state->run->playAdjusters())) {
            return [];
        }
        $atEnd = array_filter(
            $known,
            static fn (Adjuster $one): bool => $at[$one->id()]?->count >= $one->safe()->to->count,
        );

        return count($atEnd) === count($known) ? ['end' => 1.0] : [Check::RIGHT => 1.0];
    }
}
