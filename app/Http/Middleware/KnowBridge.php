<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Gauges\Bridges;
use App\Refusals\UnknownToken;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A computer that carries gauges shows its token with each request; it has no session, and can do nothing else. */
final class KnowBridge
{
    public const BRIDGE = 'gauge_bridge';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $request->attributes->set(
            self::BRIDGE,
            Bridges::by((string) $request->bearerToken()) ?? throw new UnknownToken,
        );

        return $next($request);
    }
}
