<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\ControlJob;
use Carbon\CarbonImmutable;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Wire\StateCodec;

/** A job as its screen needs it: what it is on, and the whole bench state. */
final readonly class JobResource
{
    /** @return array<string, mixed> */
    public static function of(ControlJob $job, BenchState $state): array
    {
        $machine = $job->control->machine;

        return [
            'id' => $job->id,
            'visit' => $job->visit_id,
            'opened_at' => $job->opened_at->toIso8601String(),
            'machine' => [
                'tag' => $machine->tag,
                'name' => $machine->name,
                'usage' => $job->usage_reading,
                'usage_unit' => $machine->usage_unit,
                'stood_minutes' => self::stood($machine->ran_until),
            ],
            'control' => ['key' => $job->control->key, 'name' => $job->control->name],
            'state' => StateCodec::encode($state),
        ];
    }

    /** Minutes since the engine last ran, or null where nobody noted it. */
    public static function stood(?CarbonImmutable $ranUntil): ?int
    {
        return $ranUntil === null ? null : max(0, (int) $ranUntil->diffInMinutes(CarbonImmutable::now()));
    }
}
