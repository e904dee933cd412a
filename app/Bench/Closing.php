<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\Visit;
use Carbon\CarbonImmutable;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Carryover;
use VividPull\Core\Bench\Entry\Closed;
use VividPull\Core\Learning\RatioPrior;
use VividPull\Core\Measurement\Pooling;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\ClosingRecord;

/** What follows from a signature: the job leaves the bench, and the control's summary is written for the lists. */
final readonly class Closing
{
    /** Months to the next look where nobody named a day; common practice, no source. */
    private const USUAL_MONTHS = 6;

    /** The first look after a new part, which beds in; common practice, no source. */
    private const MONTHS_OF_NEW = 1;

    public static function of(JobHead $head, Closed $closed, BenchState $state, CarbonImmutable $now): void
    {
        $job = ControlJob::query()->with('control')->findOrFail($head->id);
        $job->forceFill(['open_control_id' => null, 'closed_at' => $now])->save();
        $new = $state->facts->parts !== [];
        $due = $closed->nextCheck ?? $now->addMonths($new ? self::MONTHS_OF_NEW : self::USUAL_MONTHS)->toDateString();
        $job->control->forceFill([
            'summary' => self::summary($job, $closed, $state),
            'planned_on' => null,
            'due_on' => $due,
            'due_why' => match (true) {
                $closed->nextCheck !== null => "named by {$closed->stamp->by->name}",
                $new => 'new part, a first look soon',
                default => 'practice interval',
            },
        ])->save();
        if (ControlJob::query()->where('visit_id', $head->visit)->whereNotNull('open_control_id')->doesntExist()) {
            Visit::query()->findOrFail($head->visit)->forceFill(['closed_at' => $now])->save();
        }
    }

    /** @return array<string, mixed> */
    private static function summary(ControlJob $job, Closed $closed, BenchState $state): array
    {
        $tag = $state->facts->tag;

        return [
            'job' => $job->id,
            'at' => $closed->stamp->at,
            'by' => $closed->stamp->by->name,
            'outcome' => $closed->outcome->value,
            'record' => ClosingRecord::of($state),
            'tag' => $tag === null ? null : ['reason' => $tag->reason, 'at' => $tag->at, 'by' => $tag->by],
            'positions_steps' => array_map(static fn (?Steps $at): ?float => $at?->toFloat(), $state->facts->positions),
            'spread' => Pooling::of($state->facts->groups),
            'taught' => array_map(static fn (RatioPrior $prior): array => ['ln_ratio' => $prior->ln, 'spread' => $prior->spread], Carryover::taught($state)),
        ];
    }
}
