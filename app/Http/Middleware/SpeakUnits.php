<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\Spoken;

/** Sentences are said in the units of whoever is signed in. What leaves as a file, or comes as one, is in millimetres. */
final class SpeakUnits
{
    private const IN_MILLIMETRES = ['api/export/*', 'api/imports/*', 'api/jobs/*/file'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $lengths = $request->is(...self::IN_MILLIMETRES) ? LengthStyle::Millimetres : User::of($request)->reads();

        return Spoken::in($lengths, static fn (): Response => $next($request));
    }
}
