<?php

declare(strict_types=1);

use App\Console\BeginWorkshop;
use App\Console\ExportShop;
use App\Console\FindDue;
use App\Console\ImportShop;
use App\Console\SimulateGauges;
use App\Console\VerifyLog;
use App\Http\Middleware\LimitBody;
use App\Http\Middleware\RequirePermission;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Problems\Problem;
use App\Refusals\ChangedSince;
use App\Refusals\Conflict;
use App\Refusals\Forbidden;
use App\Refusals\UnknownToken;
use App\Refusals\WrittenByAnother;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use VividPull\Core\Errors\CoreError;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php', health: '/up')
    ->withCommands([
        BeginWorkshop::class,
        ExportShop::class,
        ImportShop::class,
        FindDue::class,
        SimulateGauges::class,
        VerifyLog::class,
    ])
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin, so nothing crosses it; and lines reach the core just as they were typed.
        $middleware->remove([HandleCors::class, TrimStrings::class, ConvertEmptyStringsToNull::class]);
        $middleware->append([SecurityHeaders::class, LimitBody::class]);
        $middleware->alias(['may' => RequirePermission::class]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // Refusals are answers, not failures.
        $exceptions->dontReport([
            CoreError::class,
            ChangedSince::class,
            Conflict::class,
            Forbidden::class,
            UnknownToken::class,
            WrittenByAnother::class,
        ]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(
            static fn (Throwable $e, Request $request): ?Response => $request->is('api/*')
                ? Problem::response($e)
                : null,
        );
    })
    ->create();
