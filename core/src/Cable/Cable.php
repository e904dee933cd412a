<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** One cable of a run, with its adjusters from the hand to the working end. */
final readonly class Cable
{
    /** @param  list<Adjuster>  $adjusters */
    private function __construct(
        public string $id,
        public string $name,
        public array $adjusters,
        public Pulls $pulls,
    ) {}

    /** @param  list<Adjuster>  $adjusters */
    public static function of(string $id, string $name, array $adjusters, Pulls $pulls = Pulls::Opening): self
    {
        return new self($id, $name, $adjusters, $pulls);
    }

    /** The same cable with one more adjuster next to the working end, or with one in another's place. */
    public function fitted(Adjuster $new, ?string $inPlaceOf): self
    {
        $adjusters = $inPlaceOf === null ? [...$this->adjusters, $new]
            : array_map(
                static fn (Adjuster $one): Adjuster => $one->id() === $inPlaceOf ? $new : $one,
                $this->adjusters,
            );

        return new self($this->id, $this->name, $adjusters, $this->pulls);
    }

    /** The same cable looked at by itself. */
    public function alone(): self
    {
        return new self($this->id, $this->name, $this->adjusters, Pulls::Opening);
    }
}
