<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\Visit;
use Carbon\CarbonImmutable;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Carryover;
use VividPull\Core\Bench\Entry\Closed;
use VividPull\Core\Measurement\Pooling;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\StandingCodec;

/** What follows from a signature: the job leaves the bench, and the control's summary is written for the lists. */
final readonly class Closing
{
    public static function of(JobHead $head, Closed $closed, BenchState $state, CarbonImmutable $now): void
    {
        $job = ControlJob::query()->with(['control.machine', 'control.specVersion'])->findOrFail($head->id);
        $job->forceFill(['open_control_id' => null, 'closed_at' => $now])->save();
        $job->control->forceFill([
            'summary' => self::summary($job, $closed, $state),
            'planned_on' => null,
        ])->save();
        NextLook::refresh($job->control);
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
            'taught' => array_map(StandingCodec::encodePrior(...), Carryover::taught($state)),
            'creep' => $state->beliefs->creep->sums(),
            'wish' => $state->facts->seen->wish === null ? null : StandingCodec::encodeWish($state->facts->seen->wish) + ['say' => $state->facts->seen->wish->say()],
        ];
    }
}
