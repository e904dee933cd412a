<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing that is typed is longer than this; pictures and files have limits of their own, in words of their own. */
final class LimitBody
{
    private const MOST_BYTES = 256 * 1024;

    private const OF_THEIR_OWN = ['api/jobs/*/photos/*', 'api/jobs/*/traces/*', 'api/specs/*/sketch', 'api/imports/*'];

    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws PostTooLargeException If it is longer.
     */
    public function handle(Request $request, Closure $next): Response
    {
        if (
            ! $request->is(...self::OF_THEIR_OWN)
            && max(
                (int) $request->headers->get('Content-Length', '0'),
                strlen($request->getContent()),
            ) > self::MOST_BYTES
        ) {
            throw new PostTooLargeException;
        }

        return $next($request);
    }
}
