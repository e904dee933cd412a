<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** A cable run from the hand control to the working end: what there is, not how it is set. */
final readonly class Run
{
    /** @var array<string, Adjuster> */
    private array $byId;

    /** @param  list<Cable>  $cables */
    private function __construct(
        public HandControl $hand,
        public array $cables,
        public Couplings $couplings,
        public string $workingEnd,
    ) {
        $byId = [];
        foreach ($cables as $cable) {
            foreach ($cable->adjusters as $adjuster) {
                $byId[$adjuster->id()] = $adjuster;
            }
        }
        $this->byId = $byId;
    }

    /** @param  list<Cable>  $cables */
    public static function of(HandControl $hand, array $cables, string $workingEnd): self
    {
        return new self($hand, $cables, $hand->couplings(), $workingEnd);
    }

    public function adjuster(string $id): ?Adjuster
    {
        return $this->byId[$id] ?? null;
    }

    /** @return array<string, Adjuster> keyed by id, from the hand to the working end */
    public function adjusters(): array
    {
        return $this->byId;
    }

    /** @return array<string, string> names of the covers in the way of an adjuster, keyed by the adjuster's id */
    public function covers(): array
    {
        return array_filter(array_map(static fn (Adjuster $a): ?string => $a->access()->cover, $this->byId), is_string(...));
    }
}
