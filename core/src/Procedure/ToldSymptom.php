<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** What was said to feel wrong: what a machine was brought in with, or what a note of its job seems to tell of. */
final readonly class ToldSymptom
{
    private function __construct(
        public Symptom $symptom,
        /** The note that tells of it, word for word; null where it was said to feel wrong. */
        public ?string $note,
    ) {}

    public static function felt(Symptom $symptom): self
    {
        return new self($symptom, null);
    }

    public static function noted(Symptom $symptom, string $note): self
    {
        return new self($symptom, $note);
    }

    /**
     * Each symptom once: what was said to feel wrong is said of it before what a note seems to tell.
     *
     * @param  list<self>  $all
     * @return list<self> in the order in which they were told
     */
    public static function each(array $all): array
    {
        $each = [];
        foreach ($all as $one) {
            $key = $one->symptom->value;
            $each[$key] = isset($each[$key]) && $each[$key]->note === null ? $each[$key] : $one;
        }

        return array_values($each);
    }

    /** How it came to be asked. */
    public function said(): string
    {
        return ($this->note === null ? 'Brought in for: ' : 'A note tells of this: ').lcfirst($this->symptom->words());
    }
}
