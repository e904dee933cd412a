<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Bench\Entry\ReadingTaken;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Measurement\Uncertainty;

/** Consecutive readings alike in every respect, with nothing moved between them. Verdicts are on groups. */
final readonly class ReadingGroup
{
    /** @param  non-empty-list<ReadingTaken>  $readings */
    private function __construct(
        public array $readings,
        public Uncertainty $found,
        public Instrument $instrument,
        public Repeatability $pooled,
        /** Slack given since the job opened, in mm of conduit. */
        public float $slack,
        /** Counts up whenever comparison with what went before is broken. */
        public int $stretch,
        /** Counts up with every move and every lock nut tightened: readings of an older setting are not current. */
        public int $setting,
        /** Moves made before it. */
        public int $moves,
        /** Whether someone else moved the cable between what this person saw and this reading. */
        public bool $crossed,
        /** The point it was really read at, where it was turned into the spec's; null where nothing was turned. */
        public ?ReadingPoint $convertedFrom = null,
    ) {}

    /** @param  non-empty-list<ReadingTaken>  $readings */
    public static function of(
        array $readings,
        Standing $standing,
        float $slack,
        int $stretch,
        int $setting,
        int $moves,
        bool $crossed,
    ): self {
        $instrument = $standing->instrument($readings[0]->instrument) ?? Instrument::coin();
        $pooled = $standing->repeatability($readings[0]->stamp->by, $instrument);
        $values = [];
        $step = $instrument->resolution;
        foreach ($readings as $reading) {
            $values[] = $reading->mm;
            $step = max($step, $reading->writtenStep);
        }

        return new self(
            $readings,
            Uncertainty::ofReadings($values, $instrument, $pooled, $step),
            $instrument,
            $pooled,
            $slack,
            $stretch,
            $setting,
            $moves,
            $crossed,
        );
    }

    public function converted(float $factor, float $relative): self
    {
        return new self($this->readings, $this->found->scaled($factor, $relative), $this->instrument, $this->pooled, $this->slack, $this->stretch,
            $this->setting, $this->moves, $this->crossed, $this->first()->point);
    }

    /** Whether it speaks of this point, read there or converted to it. */
    public function isAt(ReadingPoint $point): bool
    {
        return $this->convertedFrom !== null || $this->first()->point === $point;
    }

    public function first(): ReadingTaken
    {
        return $this->readings[0];
    }

    public function last(): ReadingTaken
    {
        return $this->readings[count($this->readings) - 1];
    }

    /** The day its instrument should have been calibrated by, where it was read after that day; null where it was not. */
    public function overdueSince(): ?string
    {
        $due = $this->instrument->calibration?->due;

        return $due !== null && $due < substr($this->last()->stamp->at, 0, 10) ? $due : null;
    }

    /**
     * Zero, or so near it that no play has been shown: such a group places nothing. Three small readings that happen to agree
     * are no nearer to the truth than the person usually is.
     */
    public function isTaut(): bool
    {
        return $this->found->mean <= 0.0 || $this->found->mean <= 2 * max($this->found->standard(), $this->found->standardOfDifference());
    }
}
