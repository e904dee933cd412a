<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use LogicException;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\PackFindings;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Procedure\ToldSymptom;
use WeakMap;

/** What one control of one machine model is judged by: one version, never changed once a job has used it. */
final readonly class Spec
{
    public FamilyKey $family;

    /** @var WeakMap<Run, list<Proof>> by the run they were asked of: a replay asks dozens of times */
    private WeakMap $proofs;

    private function __construct(
        private SpecFamily $declared,
        /** The play it must have; null where none is read. */
        public ?FreePlayBand $aim,
        public Conditions $conditions,
        public Policy $policy,
        public DecisionRule $rule,
        public SpecSource $source,
        /**
         * The play of a second cable, the closing one of a push-pull pair or the one behind a governor; null where
         * there is one cable.
         */
        public ?FreePlayBand $second,
        /** Whether the second cable is set before the first. */
        public bool $secondFirst,
        /** @var list<Aim> what it must do beside having play */
        public array $targets,
        public Book $book,
    ) {
        $this->family = $declared->key();
        $this->proofs = new WeakMap;
    }

    /** @param  list<Aim>  $targets */
    public static function of(
        SpecFamily $family,
        ?FreePlayBand $aim,
        Conditions $conditions,
        Policy $policy,
        DecisionRule $rule,
        SpecSource $source,
        ?FreePlayBand $second = null,
        bool $secondFirst = false,
        array $targets = [],
        ?Book $book = null,
    ): self {
        return new self(
            $family,
            $aim,
            $conditions->inAll($family->poses()),
            $policy,
            $rule,
            $source,
            $second,
            $secondFirst,
            $targets,
            $book ?? Book::silent(),
        );
    }

    /**
     * @return list<Proof> what is tried before a job on it may end: what the family always tries, then what the book
     *     adds
     */
    public function proofs(Run $run): array
    {
        return $this->proofs[$run] ??= [...$this->declared->proofs($run), ...$this->book->proofs()];
    }

    /** What the second cable is judged by, as a spec of its own. */
    public function ofSecond(): ?self
    {
        return $this->second === null
            ? null
            : new self(
                $this->declared,
                $this->second,
                $this->conditions,
                $this->policy,
                $this->rule,
                $this->source,
                null,
                false,
                [],
                $this->book,
            );
    }

    /**
     * Whether the state of the machine is asked before a reading: where the figure holds in any, the answer would
     * change nothing.
     */
    public function isStateAsked(): bool
    {
        return $this->aim !== null && ($this->conditions->matter() || $this->declared->movesWithHeat());
    }

    /**
     * Whether play read cold and play read hot are two things; where they are one, they are held against each other.
     */
    public function heatMatters(): bool
    {
        return $this->conditions->engine !== null || $this->declared->movesWithHeat();
    }

    /**
     * @param  list<ToldSymptom>  $told
     * @return list<Proof> whether each is gone
     */
    public function symptomProofs(array $told): array
    {
        return SymptomProofs::of($told, $this->declared->worksWhileHeld());
    }

    /** @return list<Symptom> those told of this control by which nobody runs it until their cause is found */
    public function stopping(): array
    {
        return Symptom::stopping($this->declared->symptoms(), $this->declared->worksWhileHeld());
    }

    public function wheelsMatter(): bool
    {
        return $this->conditions->wheels !== null;
    }

    /** The one of its inspections with this key. */
    public function inspection(string $key): ?Inspection
    {
        foreach ($this->inspections() as $inspection) {
            if ($inspection->key === $key) {
                return $inspection;
            }
        }

        return null;
    }

    /**
     * @return list<Inspection> everything that may be found on it: what is always looked over, and a pack where it has
     *     one
     */
    public function inspections(): array
    {
        return [
            ...$this->declared->lookOver(),
            ...($this->other(PackFigures::class) === null ? [] : PackFindings::all()),
        ];
    }

    /**
     * The play it must have, for what is only asked where play is read.
     *
     * @throws LogicException If none is.
     */
    public function play(): FreePlayBand
    {
        return $this->aim
            ?? throw new LogicException('This spec has no play: ask whether it has before asking for it.');
    }

    /**
     * @template A of Aim
     *
     * @param  class-string<A>  $kind
     * @return A|null
     */
    public function other(string $kind): ?Aim
    {
        foreach ($this->targets as $aim) {
            if ($aim instanceof $kind) {
                return $aim;
            }
        }

        return null;
    }

    /** What a measured value is held against; null where the spec has no limit for it. */
    public function limitOf(MeasureKey $measure): ?SpecBand
    {
        foreach ($this->targets as $aim) {
            if ($aim instanceof Limit && $aim->measure() === $measure) {
                return $aim->band();
            }
        }

        return null;
    }

    /** A place where play is read, as the people of this control call it. */
    public function pointName(ReadingPoint $point): string
    {
        return $point->named($this->declared->moved());
    }

    public function howToRead(ReadingPoint $point): string
    {
        return $point->howToRead($this->declared->moved());
    }

    /**
     * Everything its readings are held against, in words; a table, a pull and a pack say theirs beside what was seen.
     */
    public function say(): string
    {
        $play = $this->aim === null ? [] : ["{$this->aim->band->say()} at the {$this->pointName($this->aim->point)}"];
        $said = [
            ...$play,
            ...array_map(
                static fn (Aim $aim): string => $aim->say(),
                array_filter(
                    $this->targets,
                    static fn (Aim $aim): bool => ! $aim instanceof OutcomeTable
                        && ! $aim instanceof PullFigure
                        && ! $aim instanceof PackFigures,
                ),
            ),
        ];

        return $said === [] ? 'What it does' : ucfirst(implode('; ', $said));
    }
}
