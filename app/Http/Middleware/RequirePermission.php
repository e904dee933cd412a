<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Refusals\Forbidden;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use VividPull\Core\Log\Permission;

/** Lets only those in whose role may; each route names what it takes. */
final class RequirePermission
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next, string $permission): Response
    {
        $what = Permission::from($permission);
        $user = $request->user();
        assert($user instanceof User);

        return $user->acting()->may($what) ? $next($request) : throw Forbidden::to($user, $what);
    }
}
