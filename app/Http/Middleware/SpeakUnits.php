<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\ReadUnits;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Units;

/**
 * Sentences are said in the units of whoever is signed in. What leaves as a file, or comes as one, is in the units in
 * which everything is kept.
 */
final class SpeakUnits
{
    private const AS_KEPT = ['api/export/*', 'api/imports/*', 'api/jobs/*/file'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $units = $request->is(...self::AS_KEPT) ? Units::kept() : ReadUnits::of(User::of($request));

        return Spoken::in($units, static fn (): Response => $next($request));
    }
}
