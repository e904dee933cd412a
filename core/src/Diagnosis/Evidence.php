<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * What is known of one machine: answers, what a reading makes likely, what was tried in vain, what cannot be looked at
 * now.
 */
final readonly class Evidence
{
    public const YES = 'yes';

    public const NO = 'no';

    /**
     * @param  array<string, array<string, float>>  $seen  by question and answer: how likely what was seen is if that
     *     is the truth; 0 for what it excludes
     * @param  list<string>  $tried  causes that were put right, and it is still there
     * @param  list<string>  $skipped  checks that cannot be made now
     * @param  list<string>  $coversOff
     * @param  list<string>  $against  what stands against running the machine at all, a sentence each
     */
    private function __construct(
        public array $seen,
        public array $tried,
        public array $skipped,
        public array $coversOff,
        public array $against = [],
    ) {}

    public static function none(): self
    {
        return new self([], [], [], []);
    }

    /** What somebody answered, for certain. */
    public function answered(string $question, string $answer): self
    {
        return new self(
            [$question => [$answer => 1.0]] + $this->seen,
            $this->tried,
            $this->skipped,
            $this->coversOff,
            $this->against,
        );
    }

    /** @param  array<string, float>  $likelihoods  by answer, what a reading near an edge says of each */
    public function likely(string $question, array $likelihoods): self
    {
        return new self(
            [$question => $likelihoods] + $this->seen,
            $this->tried,
            $this->skipped,
            $this->coversOff,
            $this->against,
        );
    }

    public function curedInVain(string $cause): self
    {
        return new self($this->seen, [...$this->tried, $cause], $this->skipped, $this->coversOff, $this->against);
    }

    public function skipped(string $check): self
    {
        return new self($this->seen, $this->tried, [...$this->skipped, $check], $this->coversOff, $this->against);
    }

    /** What was off is back on, as it must be before anything runs. */
    public function coversBack(): self
    {
        return new self($this->seen, $this->tried, $this->skipped, [], $this->against);
    }

    public function coverOff(string $cover): self
    {
        return new self($this->seen, $this->tried, $this->skipped, [...$this->coversOff, $cover], $this->against);
    }

    /** @param  string  ...$against  a tag, a cover that is off, what was found on any control of the machine */
    public function notToBeRun(string ...$against): self
    {
        return new self(
            $this->seen,
            $this->tried,
            $this->skipped,
            $this->coversOff,
            [...$this->against, ...array_values($against)],
        );
    }

    /** @return list<string> what people came with, and what is seen with it */
    public function symptoms(): array
    {
        return array_values(array_filter(
            array_keys($this->seen),
            fn (string $question): bool => $this->answer($question) === self::YES,
        ));
    }

    /** The answer to a question where it is certain. */
    public function answer(string $question): ?string
    {
        $seen = array_filter($this->seen[$question] ?? [], static fn (float $likelihood): bool => $likelihood > 0.0);

        return count($seen) === 1 ? array_key_first($seen) : null;
    }
}
