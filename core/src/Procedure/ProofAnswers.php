<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** The words a proof is answered with, and what each of them says. */
final readonly class ProofAnswers
{
    /**
     * @param  non-empty-array<string, string>  $words  word on the wire to words on the button
     * @param  list<string>  $passing  the words that pass
     * @param  list<string>  $tolerable  the words that may be left with a control that is left outside its band by
     *     choice
     * @param  array<string, Bearing>  $errs  which way a failing word says that the setting errs; a word that is not
     *     named says nothing of slack
     */
    private function __construct(
        public array $words,
        public array $passing,
        private array $tolerable,
        private array $errs,
    ) {}

    /**
     * @param  non-empty-array<string, string>  $words
     * @param  list<string>  $passing
     */
    public static function of(array $words, array $passing): self
    {
        return new self($words, $passing, [], []);
    }

    /** @param  list<string>  $words */
    public function tolerating(array $words): self
    {
        return new self($this->words, $this->passing, $words, $this->errs);
    }

    /** @param  array<string, Bearing>  $errs */
    public function erring(array $errs): self
    {
        return new self($this->words, $this->passing, $this->tolerable, $errs);
    }

    /** The same, with one word more that passes. */
    public function orElse(string $word, string $label): self
    {
        return new self($this->words + [$word => $label], [...$this->passing, $word], $this->tolerable, $this->errs);
    }

    public function passes(string $answer): bool
    {
        return in_array($answer, $this->passing, true);
    }

    /** Whether it is a matter of taste: a rider may have it otherwise. */
    public function isTaste(): bool
    {
        return $this->tolerable !== [];
    }

    public function tolerates(string $answer): bool
    {
        return in_array($answer, $this->tolerable, true);
    }

    /** Which way the setting errs by this answer; null where it passes. */
    public function bearing(string $answer): ?Bearing
    {
        return $this->passes($answer) ? null : $this->errs[$answer] ?? Bearing::Elsewhere;
    }
}
