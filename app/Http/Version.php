<?php

declare(strict_types=1);

namespace App\Http;

use App\Chain\CanonicalJson;
use App\Http\Problems\ChangedSince;
use Illuminate\Http\Request;

/** Whoever changes something names the version they looked at, by If-Match (RFC 9110), and is told where it is another by now. */
final readonly class Version
{
    private const DIGITS = 32;

    /** @param  array<string, mixed>  $said  what can be changed about it */
    public static function of(array $said): string
    {
        return substr(hash('sha256', CanonicalJson::of($said)), 0, self::DIGITS);
    }

    /** @return string|null null where the request names none, and so takes what stands there */
    public static function seenBy(Request $request): ?string
    {
        $seen = trim((string) $request->headers->get('If-Match'), ' "');

        return $seen === '' || $seen === '*' ? null : $seen;
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
