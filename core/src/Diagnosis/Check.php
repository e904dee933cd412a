<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** Something to look at, read or try that tells causes apart: what, how, with what, how long, and what it may show. */
final readonly class Check
{
    /**
     * @param  array<string, string>  $finds  what may be wrong, by key, in the words of a button
     */
    private function __construct(
        public string $key,
        public string $label,
        public string $how,
        public string $right,
        public array $finds,
        public float $minutes,
        public Effort $effort,
        /** What of a job is the same look; null where a job asks for no such thing. */
        public ?JobItem $of = null,
        /** Whether it is told by what is on file, and asked of nobody. */
        public bool $isOnFile = false,
        /** @var list<string> what nobody runs the machine with */
        public array $stopsOn = [],
    ) {}

    /** @param  array<string, string>  $finds */
    public static function of(
        string $key,
        string $label,
        string $how,
        string $right,
        array $finds,
        float $minutes,
    ): self {
        return new self($key, $label, $how, $right, $finds, $minutes, Effort::none());
    }

    /**
     * How its play went from job to job: told by what is on file, and asked of nobody.
     *
     * @param  array<string, string>  $finds
     */
    public static function story(array $finds): self
    {
        return new self(
            'story',
            'Its wear story',
            'From its jobs here.',
            'No steady wear, no jump',
            $finds,
            0.0,
            Effort::none(),
            isOnFile: true,
        );
    }

    public const CABLE_AGE = 'cable_age';

    public const OILED = 'oiled';

    public const OIL_AGE = 'oil_age';

    /** How long its cable has been on it: told by what is on file, and asked of nobody. */
    public static function cableAge(): self
    {
        return new self(
            self::CABLE_AGE,
            'Its cable',
            'From its jobs here.',
            'Neither new nor old',
            ['new' => 'Fitted lately', 'old' => 'On it for years'],
            0.0,
            Effort::none(),
            isOnFile: true,
        );
    }

    /** When it was oiled last: told by what is on file, and asked of nobody. */
    public static function lastOiled(): self
    {
        return new self(
            self::OILED,
            'Oiled',
            'From its jobs here.',
            'Lately',
            ['long_ago' => 'Not for years'],
            0.0,
            Effort::none(),
            isOnFile: true,
        );
    }

    /** How long its engine oil has been in: told by what is on file, and asked of nobody. */
    public static function oilAge(): self
    {
        return new self(
            self::OIL_AGE,
            'Age of the engine oil',
            'From the jobs and searches of its machine.',
            'Changed lately',
            ['old' => 'Not changed for years'],
            0.0,
            Effort::none(),
            isOnFile: true,
        );
    }

    /**
     * The chance that a thing is seen though none of the causes brings it about: many a cable or its oil is
     * old, or new, and nothing comes of it (ours).
     */
    public function leak(): float
    {
        return match ($this->key) {
            self::CABLE_AGE => 0.2,
            self::OILED, self::OIL_AGE => 0.4,
            default => Model::LEAK,
        };
    }

    /** Free play as the spec reads it. */
    public static function play(float $minutes = 2.0): self
    {
        return new self(
            'play',
            'Free play',
            'Read it as the spec does, three times.',
            'Inside its band',
            ['tight' => 'Too little', 'loose' => 'Too much'],
            $minutes,
            Effort::none()->using('rule or caliper'),
            JobItem::reading(),
        );
    }

    public function asInspection(string $key): self
    {
        return $this->with($this->effort, JobItem::inspection($key));
    }

    public function asProof(string $key): self
    {
        return $this->with($this->effort, JobItem::proof($key));
    }

    public function asMeasure(string $key): self
    {
        return $this->with($this->effort, JobItem::measure($key));
    }

    public function asThread(): self
    {
        return $this->with($this->effort, JobItem::thread());
    }

    /** The same look where its family asks for it nowhere else. */
    public function onlyHere(): self
    {
        return $this->with($this->effort, null);
    }

    /** @param  float  $minutes  to take it off and put it back; spent once for all that lies under it */
    public function under(string $cover, float $minutes): self
    {
        return $this->with($this->effort->under($cover, $minutes), $this->of);
    }

    public function using(string $tools): self
    {
        return $this->with($this->effort->using($tools), $this->of);
    }

    public function saying(string $caution): self
    {
        return $this->with($this->effort->saying($caution), $this->of);
    }

    public function first(): self
    {
        return $this->with($this->effort->first(), $this->of);
    }

    public function running(string $caution): self
    {
        return $this->with($this->effort->running($caution), $this->of);
    }

    /**
     * The same, with what nobody runs the machine with until it is put right: a throttle that may stay open, a wire
     * that may part, a brake that may not hold, a drive or a blade that may go on. Common practice, no source.
     */
    public function stoppingOn(string ...$finds): self
    {
        return $this->with($this->effort, $this->of, array_values($finds));
    }

    /** Whether an answer stops the machine. */
    public function isStoppedBy(?string $answer): bool
    {
        return in_array($answer, $this->stopsOn, true);
    }

    /** An answer as it reads after its label: `Inner wire: frayed, rusty or kinked`. */
    public function said(string $answer): string
    {
        return "{$this->label}: ".lcfirst($this->answers()[$answer] ?? $answer);
    }

    /** Whether somebody at the other end of the line can answer it: no tool, no cover, nothing run. */
    public function isForThePhone(): bool
    {
        return $this->effort->tools === null && $this->effort->cover === null && ! $this->effort->runs;
    }

    /** @return array<string, string> all its answers, the right one first */
    public function answers(): array
    {
        return [self::RIGHT => $this->right] + $this->finds;
    }

    public const RIGHT = 'right';

    /** @param  list<string>|null  $stopsOn  null for what it stops on already */
    private function with(Effort $effort, ?JobItem $of, ?array $stopsOn = null): self
    {
        return new self(
            $this->key,
            $this->label,
            $this->how,
            $this->right,
            $this->finds,
            $this->minutes,
            $effort,
            $of,
            $this->isOnFile,
            $stopsOn ?? $this->stopsOn,
        );
    }
}
