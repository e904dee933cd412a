<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\EntryRow;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Carryover;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Facts\Pooling;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\LeftBefore;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\StandingCodec;

/**
 * What the last signature on a control says to the lists and to the next job. It can be made again from the log; this is the one place
 * that knows how it is written down.
 */
final readonly class ControlSummary
{
    /**
     * @param  array<string, mixed>  $record  as it was signed
     * @param  array{reason: string, at: string, by: string}|null  $tag
     * @param  array<string, float|null>  $positions  in steps, by adjuster; null is unknown
     * @param  list<array{person: string, instrument: string, squares: float, freedom: int}>  $spread  how readings of one group lay apart
     * @param  array<string, array<string, float|int>>  $taught  what is known of the ratio, by reading point
     * @param  array<string, float|int>|null  $creep  sums over what locking did
     * @param  array<string, mixed>|null  $wish
     */
    private function __construct(
        public string $job,
        public string $at,
        public string $by,
        public ClosingOutcome $outcome,
        private array $record,
        public ?array $tag,
        public array $positions,
        public array $spread,
        public array $taught,
        private ?array $creep,
        private ?array $wish,
    ) {}

    public static function of(ControlJob $job, Closed $closed, BenchState $state): self
    {
        $tag = $state->facts->tag;
        $wish = $state->facts->chosen->wish;

        return new self(
            $job->id,
            $closed->stamp->at,
            $closed->stamp->by->name,
            $closed->outcome,
            ClosingRecord::of($state),
            $tag === null ? null : ['reason' => $tag->reason, 'at' => $tag->at, 'by' => $tag->by],
            array_map(static fn (?Steps $at): ?float => $at?->toFloat(), $state->facts->adjusters->positions),
            Pooling::of($state->facts->readings->groups),
            array_map(StandingCodec::encodePrior(...), Carryover::taught($state)),
            $state->beliefs()->creep->sums(),
            $wish === null ? null : StandingCodec::encodeWish($wish) + ['say' => $wish->say()],
        );
    }

    /** Of a job that was filed from before it was worked here: nothing but what its line said. */
    public static function filed(EntryRow $closing): self
    {
        $by = $closing->by['name'];
        $outcome = ClosingOutcome::from($closing->body['outcome']);
        $tag = $outcome === ClosingOutcome::Tagged ? ['reason' => $closing->body['record']['tag'] ?? 'Tagged before it was here', 'at' => $closing->at, 'by' => $by] : null;

        return new self((string) $closing->job_id, $closing->at, $by, $outcome, $closing->body['record'], $tag, [], [], [], null, null);
    }

    /** @param  array<string, mixed>  $kept */
    public static function fromArray(array $kept): self
    {
        return new self(
            $kept['job'], $kept['at'], $kept['by'], ClosingOutcome::from($kept['outcome']), $kept['record'], $kept['tag'] ?? null,
            // As an older version counted.
            $kept['positions_steps'] ?? $kept['positions_turns'] ?? [],
            $kept['spread'] ?? [], $kept['taught'] ?? [], $kept['creep'] ?? null, $kept['wish'] ?? null,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'job' => $this->job, 'at' => $this->at, 'by' => $this->by, 'outcome' => $this->outcome->value, 'record' => $this->record, 'tag' => $this->tag,
            'positions_steps' => $this->positions, 'spread' => $this->spread, 'taught' => $this->taught, 'creep' => $this->creep, 'wish' => $this->wish,
        ];
    }

    /** Where play was read; null where none is. */
    public function point(): ?string
    {
        return $this->record['point'] ?? null;
    }

    public function leftMm(): ?float
    {
        $left = $this->record['left']['mm'] ?? null;

        return $left === null ? null : (float) $left;
    }

    /** What was left outside its band by choice, or faulty: the next job and every later screen say so. */
    public function leftOpen(): ?LeftBefore
    {
        $byChoice = $this->outcome === ClosingOutcome::ByChoice ? $this->record['by_choice'] ?? null : null;
        $faults = $this->record['left_faults'] ?? [];

        return $byChoice === null && $faults === [] ? null : new LeftBefore($byChoice, $faults, $this->at, $this->by);
    }

    /** ln R as it is known at this place, from this control or from its like; null where nothing taught it. */
    public function lnRatio(string $point): ?float
    {
        $ln = $this->taught[$point]['ln_ratio'] ?? null;

        return $ln === null ? null : (float) $ln;
    }

    /** What this control learned itself; null where it learned nothing, or only has what other machines taught. */
    public function learned(string $point): ?RatioPrior
    {
        $taught = $this->taught[$point] ?? null;

        return $taught === null || ($taught['machines'] ?? 0) !== 0 ? null : RatioPrior::of((float) $taught['ln_ratio'], (float) $taught['spread']);
    }

    /** @return array<string, float|int>|null what locking did, over the pairs read before and after it; null where there are none */
    public function creep(): ?array
    {
        return ($this->creep['pairs'] ?? 0) === 0 ? null : $this->creep;
    }

    /** @return array<string, mixed>|null the rider's wish, as it stands when the next job opens */
    public function wish(): ?array
    {
        return $this->wish === null ? null : array_intersect_key($this->wish, ['play_mm' => true, 'bite' => true, 'said' => true]);
    }

    public function wishSaid(): ?string
    {
        return $this->wish['say'] ?? null;
    }
}
