<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Standing;
use VividPull\Core\Measurement\Agreement;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Spec\Spec;

/**
 * Readings alike in every respect, with nothing moved between them, whatever else was read meanwhile. Verdicts are on
 * groups.
 */
final readonly class ReadingGroup
{
    /**
     * @param  non-empty-list<ReadingTaken>  $readings
     * @param  list<ReadingTaken>  $leftOut  readings that do not go with the others, and are not in the mean
     */
    private function __construct(
        public array $readings,
        public array $leftOut,
        /** What is asked before this group may say anything; null where nothing is. */
        public ?Doubt $doubt,
        public Uncertainty $found,
        public Instrument $instrument,
        public Repeatability $pooled,
        public ReadAt $at,
        /** The point it was really read at, where it was turned into the spec's; null where nothing was turned. */
        public ?ReadingPoint $convertedFrom = null,
    ) {}

    /**
     * @param  non-empty-list<ReadingTaken>  $readings
     * @param  array<string, true>  $upheld  ids of readings that a person stands by
     */
    public static function of(
        array $readings,
        Standing $standing,
        ReadAt $at,
        array $upheld = [],
        ?Doubt $beyond = null,
    ): self {
        $instrument = $standing->instrument($readings[0]->instrument) ?? Instrument::coin();
        $pooled = $standing->repeatability($readings[0]->stamp->by, $instrument);
        $values = array_column($readings, 'mm');
        $step = self::step($readings, $instrument);
        $stoodBy = $upheld === []
            ? []
            : array_keys(array_filter(
                $readings,
                static fn (ReadingTaken $one): bool => isset($upheld[$one->stamp->id]),
            ));
        $marks = Uncertainty::ofResolution($instrument, $step);
        $agreement = Agreement::isPlain($values, $pooled, $marks)
            ? null
            : Agreement::of($values, $stoodBy, $pooled, $marks);
        $doubt = $beyond
            ?? ($agreement === null || $agreement->isSettled() ? null : Doubt::ofGroup($readings, $agreement));
        $odd = $agreement === null || $agreement->kept === [] ? [] : $agreement->odd;
        $together = $stoodBy === [] || $doubt !== null || Agreement::of($values, [], $pooled, $marks)->odd === [];
        $kept = $odd === [] ? $values : array_values(array_diff_key($values, array_flip($odd)));
        assert($kept !== []);

        return new self(
            $readings,
            $odd === [] || $doubt !== null ? [] : array_values(array_intersect_key($readings, array_flip($odd))),
            $doubt,
            Uncertainty::ofReadings($kept, $instrument, $pooled, $step, $together),
            $instrument,
            $pooled,
            $at,
        );
    }

    /**
     * The coarsest that any of them is known to, in mm: by the marks of the instrument, or as it was written.
     *
     * @param  non-empty-list<ReadingTaken>  $readings
     */
    private static function step(array $readings, Instrument $instrument): float
    {
        $step = $instrument->inchMarks === null ? $instrument->resolution : 0.0;
        foreach ($readings as $reading) {
            $step = max(
                $step,
                $reading->writtenStep,
                $instrument->inchMarks === null ? 0.0 : $instrument->marksFor($reading->isInInches()),
            );
        }

        return $step;
    }

    /** The same, asked about: it jumped, or cannot be. */
    public function doubted(Doubt $doubt): self
    {
        return new self(
            $this->readings,
            $this->leftOut,
            $doubt,
            $this->found,
            $this->instrument,
            $this->pooled,
            $this->at,
            $this->convertedFrom,
        );
    }

    public function converted(float $factor, float $relative): self
    {
        return new self(
            $this->readings,
            $this->leftOut,
            $this->doubt,
            $this->found->scaled($factor, $relative),
            $this->instrument,
            $this->pooled,
            $this->at,
            $this->first()->point,
        );
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

    /**
     * The day its instrument should have been calibrated by, where it was read after that day; null where it was not.
     */
    public function overdueSince(Log $log): ?string
    {
        $calibration = $this->instrument->calibration;

        return $calibration?->isOverdueOn(substr($log->happenedAt($this->last()), 0, 10)) === true
            ? $calibration->due
            : null;
    }

    /**
     * Zero, or so near it that no play has been shown: such a group places nothing. Three small readings that happen to
     * agree are no nearer to the truth than the person usually is.
     */
    public function isTaut(): bool
    {
        return $this->found->mean <= 0.0 || $this->found->mean <= 2 * $this->found->standard();
    }

    /** Whether two groups, with nothing moved between them, should show the same. */
    public function isComparableTo(self $other, Spec $spec): bool
    {
        return $this->at->setting === $other->at->setting
            && $this->at->series === $other->at->series
            && $this->first()->isOfSame($other->first(), $spec)
            && ! $this->at->crossed && ! $other->at->crossed;
    }
}
