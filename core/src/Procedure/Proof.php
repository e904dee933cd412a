<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

use VividPull\Core\Cable\Pose;

/** Something tried before the job may end. The latest answer after the last move counts. */
final readonly class Proof
{
    /** The proof of a throttle that it opens fully: where it does not, how far it still has to go can be measured. */
    public const WIDE_OPEN = 'wide_open';

    /** The word for what cannot be seen on this machine, such as an arm inside its case. */
    public const NOT_HERE = 'not_here';

    /** The answer to what was read out of a note, and is not what it says: nothing is tried for it. */
    public const MISREAD = 'misread';

    /** The word for what is seen to be wrong still, and left so with its reason. */
    public const LEFT = 'left';

    /**
     * @param  list<Pose>  $poses  empty where the pose does not matter
     */
    private function __construct(
        public string $key,
        public string $question,
        public ProofAnswers $answers,
        public array $poses,
        public ?GateKey $gate,
        public ?string $caution,
        /** Whether it is tried before anything is changed as well. */
        public bool $asFound = false,
        public Running $running = Running::Still,
        /**
         * @var list<Suspect> what else does that where no setting cures it, the likeliest first; none where the
         *     family's imitators are named instead
         */
        public array $suspects = [],
    ) {}

    /** @param  list<Pose>  $poses */
    public static function yesIsRight(
        string $key,
        string $question,
        ?GateKey $gate = null,
        array $poses = [],
        ?string $caution = null,
    ): self {
        return new self(
            $key,
            $question,
            ProofAnswers::of(['yes' => 'Yes', 'no' => 'No'], ['yes']),
            $poses,
            $gate,
            $caution,
        );
    }

    /**
     * @param  non-empty-array<string, string>  $answers
     * @param  list<string>  $passing
     */
    public static function choice(
        string $key,
        string $question,
        array $answers,
        array $passing,
        ?string $caution = null,
        ?GateKey $gate = null,
    ): self {
        return new self($key, $question, ProofAnswers::of($answers, $passing), [], $gate, $caution);
    }

    /** The same, tried before anything is changed as well. */
    public function foundToo(): self
    {
        return $this->with(asFound: true);
    }

    /** The same, tried with the engine running or the machine moving: what was taken off is put back first. */
    public function running(Running $running = Running::Refitted): self
    {
        return $this->with(running: $running);
    }

    /**
     * The same, where a rider may have it so: matters of taste, never of safety.
     *
     * @param  list<string>  $words
     */
    public function mayBeLeftAs(array $words): self
    {
        return $this->with($this->answers->tolerating($words));
    }

    /**
     * The same, with what its failing words say of the setting.
     *
     * @param  array<string, Bearing>  $errs
     */
    public function erring(array $errs): self
    {
        return $this->with($this->answers->erring($errs));
    }

    /** The same, where no says one thing. */
    public function noWants(Bearing $bearing): self
    {
        return $this->erring(['no' => $bearing]);
    }

    /**
     * The same, where there are machines on which it cannot be seen: it is passed with the reason, and stands so on the
     * sheet.
     */
    public function mayBeHidden(): self
    {
        return $this->with($this->answers->orElse(self::NOT_HERE, 'Not here: it cannot be seen'));
    }

    /** The same, with what is looked for where no setting cures it; common practice, no source. */
    public function suspecting(Suspect ...$suspects): self
    {
        return $this->with(suspects: array_values($suspects));
    }

    /** @param  list<Suspect>|null  $suspects */
    private function with(
        ?ProofAnswers $answers = null,
        ?bool $asFound = null,
        ?Running $running = null,
        ?array $suspects = null,
    ): self {
        return new self(
            $this->key,
            $this->question,
            $answers ?? $this->answers,
            $this->poses,
            $this->gate,
            $this->caution,
            $asFound ?? $this->asFound,
            $running ?? $this->running,
            $suspects ?? $this->suspects,
        );
    }

    /** With what running this answer comes about. */
    public function runningFor(string $answer): Running
    {
        return $answer === self::MISREAD ? Running::Still : $this->running;
    }

    /** Whether an answer needs its reason. */
    public function asksWhy(string $answer): bool
    {
        return $answer === self::NOT_HERE || $answer === self::LEFT;
    }

    /**
     * @return non-empty-list<Pose|null> what it is tried in, one after the other; one null where the pose does not
     *     matter
     */
    public function tries(): array
    {
        return $this->poses === [] ? [null] : $this->poses;
    }

    /** Which way the setting errs by this answer; null where it passes. */
    public function bearing(string $answer): ?Bearing
    {
        return $this->answers->bearing($answer);
    }

    public function passes(string $answer): bool
    {
        return $this->answers->passes($answer);
    }

    /** Whether what is left outside its band by choice may be left with this answer. */
    public function tolerates(string $answer): bool
    {
        return $this->answers->tolerates($answer);
    }
}
