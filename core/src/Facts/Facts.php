<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Standing;
use VividPull\Core\Log\StandingTag;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\ToldSymptom;
use VividPull\Core\Spec\Spec;

/** What the log says happened, nothing concluded from it yet. */
final readonly class Facts
{
    /** @param  array<string, Person>  $joined  by person id */
    public function __construct(
        public Standing $standing,
        public array $joined,
        public AdjusterFacts $adjusters,
        public AnswerFacts $answers,
        public ChosenFacts $chosen,
        public ReadingFacts $readings,
        public ?StandingTag $tag,
        public ?Closed $closed,
        public Observations $observations,
        /** Readings and slack of the second cable; null where there is none. */
        private ?ReadingFacts $readingsOfSecond = null,
    ) {}

    /** The same of the second cable: only what was read is its own. Null where there is none. */
    public function ofSecond(): ?self
    {
        return $this->readingsOfSecond === null ? null : new self(
            $this->standing,
            $this->joined,
            $this->adjusters,
            $this->answers,
            $this->chosen,
            $this->readingsOfSecond,
            $this->tag,
            $this->closed,
            $this->observations,
        );
    }

    public static function checkKey(string $key, ?string $pose): string
    {
        return $pose === null ? $key : "{$key}/{$pose}";
    }

    /**
     * The adjuster whose guided sequence is begun and not yet at its end; a last step that waits for the cable keeps
     * nothing waiting.
     */
    public function guideUnderWay(Run $run): ?Adjuster
    {
        foreach (array_keys($this->adjusters->guides) as $id) {
            $adjuster = $run->adjuster($id);
            if ($adjuster !== null && $this->guideNext($adjuster)?->isAfterCable === false) {
                return $adjuster;
            }
        }

        return null;
    }

    /** The step its sequence asks for; null where it is not begun, or at its end. */
    public function guideNext(Adjuster $adjuster): ?GuideStep
    {
        $done = $this->adjusters->guides[$adjuster->id()] ?? null;

        return $done === null ? null : Guide::of($adjuster->kind())[count($done)] ?? null;
    }

    /** Whether what was read after the last move is void only because something was locked since. */
    public function isVoidedByLock(): bool
    {
        return $this->adjusters->locked !== [] && $this->readings->setting > $this->readings->movedAt
            && array_filter(
                $this->readings->groups,
                fn (ReadingGroup $group): bool => $group->at->setting >= $this->readings->movedAt,
            ) !== [];
    }

    /** Whether it will not turn: nothing is planned with it until it is freed, or turned after all. */
    public function isSeized(Adjuster $adjuster): bool
    {
        return isset($this->adjusters->seized[$adjuster->id()]);
    }

    /** @return list<Proof> those of the control, and whether what it was brought in with is gone */
    public function proofs(Spec $spec, Run $run): array
    {
        return [...$spec->proofs($run), ...$spec->symptomProofs($this->observations->told)];
    }

    /** Of those, the one with this key. */
    public function proof(string $key, Spec $spec, Run $run): ?Proof
    {
        foreach ($this->proofs($spec, $run) as $proof) {
            if ($proof->key === $key) {
                return $proof;
            }
        }

        return null;
    }

    /** @return list<ToldSymptom> what was told of it by which nobody runs it, and is not proved to be gone */
    public function dangersTold(Spec $spec): array
    {
        return array_values(array_filter($this->observations->told, function (ToldSymptom $told) use ($spec): bool {
            [$proof] = $spec->symptomProofs([$told]);
            $given = $this->answers->checks[$proof->key] ?? null;

            return in_array($told->symptom, $spec->stopping(), true)
                && ($given === null || ! $proof->passes($given->answer));
        }));
    }

    /** Whether this answer passes: as the book has it, or, in a matter of taste, as the rider wants it. */
    public function passes(Proof $proof, Checked $given): bool
    {
        return $proof->passes($given->answer)
            || ($proof->tolerates($given->answer) && $this->chosen->wish?->bite === $given->answer);
    }
}
