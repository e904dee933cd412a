<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Bench\JobHead;
use Carbon\CarbonImmutable;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Wire\StateCodec;

/** A job as its screen needs it: what it is on, and the whole bench state. */
final readonly class JobResource
{
    /** @return array<string, mixed> */
    public static function of(JobHead $job, BenchState $state): array
    {
        return [
            'id' => $job->id,
            'visit' => $job->visit,
            'opened_at' => $job->openedAt->toIso8601String(),
            'machine' => [
                'tag' => $job->tag,
                'name' => $job->machine,
                'usage' => $job->usage,
                'usage_unit' => $job->usageUnit,
                'stood_minutes' => self::stood($job->ranUntil),
            ],
            'control' => ['key' => $job->controlKey, 'name' => $job->controlName],
            'state' => StateCodec::encode($state),
        ];
    }

    /** Minutes since the engine last ran, or null where nobody noted it. */
    public static function stood(?CarbonImmutable $ranUntil): ?int
    {
        return $ranUntil === null ? null : max(0, (int) $ranUntil->diffInMinutes(CarbonImmutable::now()));
    }
}
