<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Somebody who left the shop is signed out everywhere at once; who took a tablet over by PIN is known as that. */
final class EnsureActiveUser
{
    /** Of the session: its person took the device over by PIN, and has shown no password since. */
    public const BY_PIN = 'by_pin';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = User::of($request);
        $user->byPin = $request->hasSession() && $request->session()->get(self::BY_PIN) === true;

        return $user->left_at === null ? $next($request) : throw new AuthenticationException;
    }
}
