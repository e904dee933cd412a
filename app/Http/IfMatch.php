<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/** The version that whoever changes something looked at (If-Match, RFC 9110). */
final readonly class IfMatch
{
    /** @return string|null null where the request names none, and so takes what stands there */
    public static function of(Request $request): ?string
    {
        $seen = trim((string) $request->headers->get('If-Match'), ' "');

        return $seen === '' || $seen === '*' ? null : $seen;
    }
}
