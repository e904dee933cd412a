<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\Pose;

/** Something tried before the job may end. The latest answer after the last move counts. */
final readonly class Proof
{
    /**
     * @param  non-empty-array<string, string>  $answers  word on the wire to words on the button
     * @param  list<string>  $passing  the words that pass
     * @param  list<Pose>  $poses  empty where the pose does not matter
     */
    private function __construct(
        public string $key,
        public string $question,
        public array $answers,
        public array $passing,
        public array $poses,
        public ?GateKey $gate,
        public ?string $caution,
        /** Whether it is tried before anything is changed as well. */
        public bool $asFound = false,
    ) {}

    /** @param  list<Pose>  $poses */
    public static function yesIsRight(
        string $key,
        string $question,
        ?GateKey $gate = null,
        array $poses = [],
        ?string $caution = null,
    ): self {
        return new self($key, $question, ['yes' => 'Yes', 'no' => 'No'], ['yes'], $poses, $gate, $caution);
    }

    /**
     * @param  non-empty-array<string, string>  $answers
     * @param  list<string>  $passing
     */
    public static function choice(string $key, string $question, array $answers, array $passing, ?string $caution = null, ?GateKey $gate = null): self
    {
        return new self($key, $question, $answers, $passing, [], $gate, $caution);
    }

    /** The same, tried before anything is changed as well. */
    public function foundToo(): self
    {
        return new self($this->key, $this->question, $this->answers, $this->passing, $this->poses, $this->gate, $this->caution, true);
    }

    public function passes(string $answer): bool
    {
        return in_array($answer, $this->passing, true);
    }
}
