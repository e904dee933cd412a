<?php

declare(strict_types=1);

namespace App\Chain;

use App\Refusals\ChangedSince;

/** Whoever changes something names the version they looked at, and is told where it is another by now. */
final readonly class Version
{
    private const DIGITS = 32;

    /** @param  array<string, mixed>  $said  what can be changed about it */
    public static function of(array $said): string
    {
        return substr(hash('sha256', CanonicalJson::of($said)), 0, self::DIGITS);
    }

    /**
     * @param  string  $subject  as the audits name it
     * @param  array<string, scalar|null>  $now  what it says now, for whoever typed over it
     *
     * @throws ChangedSince If it is not the version that was looked at.
     */
    public static function mustBe(?string $seen, string $etag, string $subject, array $now): void
    {
        if ($seen !== null && ! hash_equals($etag, $seen)) {
            throw new ChangedSince($subject, $etag, $now);
        }
    }
}
