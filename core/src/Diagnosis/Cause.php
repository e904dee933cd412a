<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Symptom;

/** What may be at the bottom of it, how common that is, what it brings about, and what cures it. */
final readonly class Cause
{
    /** What nobody wrote down. */
    public const OTHER = 'other';

    /** What a clutch that runs in engine oil slips by. */
    public const WRONG_OIL = 'wrong_oil';

    /**
     * @param  array<string, Link>  $links  by what is seen: a symptom, or `check:answer`
     */
    private function __construct(
        public string $key,
        public string $label,
        public Commonness $commonness,
        public string $cure,
        /** What the cure takes, and trying it after. */
        public float $minutes,
        public array $links = [],
        /** Which way the setting errs, where it is one. */
        public ?Bearing $wants = null,
        /** Whether it is mistaken for a bad setting. */
        public bool $isImitator = false,
    ) {}

    public static function of(string $key, string $label, Commonness $commonness, string $cure, float $minutes): self
    {
        return new self($key, $label, $commonness, $cure, $minutes);
    }

    /** The setting itself. */
    public static function setting(
        string $key,
        string $label,
        Commonness $commonness,
        string $cure,
        float $minutes,
        Bearing $wants,
    ): self {
        return new self($key, $label, $commonness, $cure, $minutes, wants: $wants);
    }

    /** @param  list<Symptom>  $symptoms */
    public static function other(array $symptoms): self
    {
        return new self(
            self::OTHER,
            'Something that is not listed here',
            Commonness::Rare,
            'Ask somebody who knows this machine, or its maker.',
            90.0,
            array_fill_keys(
                array_map(static fn (Symptom $one): string => $one->value, $symptoms),
                new Link(Grade::Sometimes, 'it may bring about any of these'),
            ),
        );
    }

    public function imitates(): self
    {
        return $this->with($this->links, true);
    }

    public function brings(Symptom $symptom, Grade $grade, string $reason): self
    {
        return $this->linked($symptom->value, new Link($grade, $reason));
    }

    /** @param  string  $finding  `check:answer` */
    public function shows(string $finding, Grade $grade, string $reason): self
    {
        return $this->linked($finding, new Link($grade, $reason));
    }

    /** @return list<string> checks that always show it */
    public function telling(): array
    {
        $telling = [];
        foreach ($this->links as $seen => $link) {
            if ($link->grade === Grade::Always && str_contains($seen, ':')) {
                $telling[] = explode(':', $seen)[0];
            }
        }

        return $telling;
    }

    /** @param  array<string, true>  $known  what its family asks for */
    public function only(array $known): self
    {
        return $this->with(array_intersect_key($this->links, $known), $this->isImitator);
    }

    /** @param  callable(Grade): Grade  $grade */
    public function graded(callable $grade): self
    {
        $links = array_map(static fn (Link $link): Link => new Link($grade($link->grade), $link->reason), $this->links);

        return $this->with($links, $this->isImitator);
    }

    private function linked(string $finding, Link $link): self
    {
        return $this->with([$finding => $link] + $this->links, $this->isImitator);
    }

    /** @param  array<string, Link>  $links */
    private function with(array $links, bool $isImitator): self
    {
        return new self(
            $this->key,
            $this->label,
            $this->commonness,
            $this->cure,
            $this->minutes,
            $links,
            $this->wants,
            $isImitator,
        );
    }
}
