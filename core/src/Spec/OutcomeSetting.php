<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Errors\Quoted;

/** One setting of a control, what can be seen there, and which of it is right. */
final readonly class OutcomeSetting
{
    /**
     * @param  float  $at  its place on the lever, in the table's unit
     * @param  array<string, OutcomeWord>  $sees  by key
     * @param  array<string, float>  $weights  how much of each mover's offset counts here; all of it where none is
     *     named
     */
    private function __construct(
        public string $key,
        public string $label,
        public float $at,
        public string $wants,
        public array $sees,
        public array $weights,
        /** Whether it is tried again after every move; the rest waits for the proof. */
        public bool $isTelling,
    ) {}

    /**
     * @param  list<OutcomeWord>  $sees
     * @param  array<string, float>  $weights
     *
     * @throws OutOfRange If what is wanted is none of what can be seen, nothing else can be, or two things have one
     *     key.
     */
    public static function of(
        string $key,
        string $label,
        float $at,
        string $wants,
        array $sees,
        array $weights,
        bool $isTelling,
    ): self {
        Keys::mustDiffer(
            "What is seen at {$label}",
            array_map(static fn (OutcomeWord $one): string => $one->key, $sees),
        );
        $byKey = array_combine(array_map(static fn (OutcomeWord $one): string => $one->key, $sees), $sees);
        if (! isset($byKey[$wants]) || $byKey[$wants]->provesNothing || count($byKey) < 2) {
            throw OutOfRange::outcome($label, Quoted::text($wants));
        }

        return new self($key, $label, $at, $wants, $byKey, $weights, $isTelling);
    }

    public function wanted(): OutcomeWord
    {
        return $this->sees[$this->wants];
    }

    /** Key of what proves nothing where it is seen; null where whatever is seen proves something. */
    public function provesNothing(): ?string
    {
        foreach ($this->sees as $word) {
            if ($word->provesNothing) {
                return $word->key;
            }
        }

        return null;
    }

    public function weight(string $adjuster): float
    {
        return $this->weights === [] ? 1.0 : $this->weights[$adjuster] ?? 0.0;
    }
}
