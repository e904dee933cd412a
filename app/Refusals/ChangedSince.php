<?php

declare(strict_types=1);

namespace App\Refusals;

use App\Bench\ShopClock;
use App\Models\Audit;
use RuntimeException;

/** Somebody else changed it between looking and saving. Says who and when, and what it says now. */
final class ChangedSince extends RuntimeException
{
    /** @param  array<string, scalar|null>  $now  what it says now, by the names of its fields */
    public function __construct(string $subject, public readonly string $etag, public readonly array $now)
    {
        $last = Audit::query()->with('user')->where('subject', $subject)->latest('id')->first();
        $at = $last === null ? null : ShopClock::at($last->at);
        $when = $at === null
            ? ''
            : ($at->toDateString() === ShopClock::today()
                ? " at {$at->format('H:i')}"
                : " on {$at->format('j F')} at {$at->format('H:i')}");
        parent::__construct(
            ($last->user->name ?? 'Somebody')
                ." changed this{$when}, since you looked. What you typed is still here. Save again to put it over what stands there now.",
        );
    }
}
