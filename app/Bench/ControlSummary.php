<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\EntryRow;
use LogicException;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\LeftBefore;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\SignedRecord;
use VividPull\Core\Wire\StandingCodec;

/**
 * What the last signature on a control says to the lists and to the next job. It can be made again from the log; this
 * is the one place that knows how it is written down.
 */
final readonly class ControlSummary
{
    /**
     * @param  array{reason: string, at: string, by: string}|null  $tag
     */
    private function __construct(
        public string $job,
        public string $at,
        public string $by,
        public ClosingOutcome $outcome,
        private SignedRecord $record,
        public ?array $tag,
        public HandedOn $handedOn,
    ) {}

    public static function of(ControlJob $job, Closed $closed, BenchState $state): self
    {
        return new self(
            $job->id,
            $closed->stamp->happenedAt($job->opened_at->toIso8601String()),
            $closed->stamp->by->name,
            $closed->outcome,
            SignedRecord::of(ClosingRecord::of($state)),
            StandingCodec::encodeTag($state->facts->tag),
            HandedOn::by($state),
        );
    }

    /** Of a job that was filed from before it was worked here: nothing but what its line said. */
    public static function filed(EntryRow $closing): self
    {
        $by = $closing->by['name'];
        [$outcome, $record] = [$closing->outcome(), $closing->signed()];
        if ($outcome === null || $record === null) {
            throw new LogicException('This entry closed no job.');
        }
        $tag = $outcome === ClosingOutcome::Tagged
            ? [
                'reason' => $record->tag() ?? 'Tagged before it was here',
                'at' => $closing->at,
                'by' => $by,
            ]
            : null;

        return new self(
            (string) $closing->job_id,
            $closing->at,
            $by,
            $outcome,
            $record,
            $tag,
            new HandedOn,
        );
    }

    /** @param  array<string, mixed>  $kept */
    public static function fromArray(array $kept): self
    {
        return new self(
            $kept['job'], $kept['at'], $kept['by'], ClosingOutcome::from($kept['outcome']),
            SignedRecord::of($kept['record']),
            $kept['tag'] ?? null,
            HandedOn::fromArray($kept),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'job' => $this->job, 'at' => $this->at, 'by' => $this->by, 'outcome' => $this->outcome->value,
            'record' => $this->record->kept(), 'tag' => $this->tag,
        ] + $this->handedOn->toArray();
    }

    /** Where play was read; null where none is. */
    public function point(): ?string
    {
        return $this->record->point()?->value;
    }

    public function leftMm(): ?float
    {
        return $this->record->left()?->mm;
    }

    /** What was left outside its band by choice, or faulty: the next job and every later screen say so. */
    public function leftOpen(): ?LeftBefore
    {
        $byChoice = $this->outcome === ClosingOutcome::ByChoice ? $this->record->byChoice() : null;
        $faults = $this->record->leftFaults();

        return $byChoice === null && $faults === [] ? null : new LeftBefore($byChoice, $faults, $this->at, $this->by);
    }

    /** ln R as it is known at this place, from this control or from its like; null where nothing taught it. */
    public function lnRatio(string $point): ?float
    {
        $ln = $this->handedOn->taught[$point]['ln_ratio'] ?? null;

        return $ln === null ? null : (float) $ln;
    }

    /** What this control learned itself; null where it learned nothing, or only has what other machines taught. */
    public function learned(string $point): ?RatioPrior
    {
        $taught = $this->handedOn->taught[$point] ?? null;

        return $taught === null || ($taught['machines'] ?? 0) !== 0
            ? null
            : RatioPrior::of((float) $taught['ln_ratio'], (float) $taught['spread']);
    }

    /**
     * @return array<string, float|int>|null what locking did, over the pairs read before and after it; null where there
     *     are none
     */
    public function creep(): ?array
    {
        return ($this->handedOn->creep['pairs'] ?? 0) === 0 ? null : $this->handedOn->creep;
    }

    /** @return array<string, mixed>|null the rider's wish, as it stands when the next job opens */
    public function wish(): ?array
    {
        return $this->handedOn->wish === null
            ? null
            : array_intersect_key($this->handedOn->wish, ['play_mm' => true, 'bite' => true, 'said' => true]);
    }

    public function wishSaid(): ?string
    {
        return $this->handedOn->wish['say'] ?? null;
    }
}
