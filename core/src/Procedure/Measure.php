<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Something a family has measured beside the play before the job may end, held against a limit of the spec. */
final readonly class Measure
{
    private function __construct(
        public MeasureKey $key,
        /** Readings that make it whole. */
        public int $runs,
        public ?GateKey $gate,
        /** Whether it is measured before anything is changed as well. */
        public bool $asFound,
        public ?string $caution,
        /** Whether measuring it runs the machine. */
        public Running $running,
        /**
         * @var list<Suspect> what is looked for where it is told to be outside, the likeliest first; none where
         *     something that turns is the cure
         */
        public array $suspects = [],
    ) {}

    public static function proved(MeasureKey $key, int $runs): self
    {
        return new self($key, $runs, null, false, null, Running::Still);
    }

    /** Measured with the machine running: what was taken off is put back first. */
    public static function running(MeasureKey $key, int $runs, GateKey $gate, string $caution): self
    {
        return new self($key, $runs, $gate, false, $caution, Running::Refitted);
    }

    /** The same, where no adjuster is the cure of it; common practice, no source. */
    public function suspecting(Suspect ...$suspects): self
    {
        return new self(
            $this->key,
            $this->runs,
            $this->gate,
            $this->asFound,
            $this->caution,
            $this->running,
            array_values($suspects),
        );
    }

    /** The same, before anything is changed as well. */
    public static function runningFoundToo(MeasureKey $key, int $runs, string $caution): self
    {
        return new self($key, $runs, null, true, $caution, Running::Refitted);
    }
}
