<?php

declare(strict_types=1);

/*
 * The application with one more route, for comparison only: session, sign-in and token as everywhere, and one insert.
 * It stands here and not in routes/, so that no workshop serves it.
 */

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->booting(static function (): void {
    Route::middleware(['web', 'auth'])->post('api/bare', static function (Request $request): JsonResponse {
        DB::table('bench_rows')->insert(['id' => $request->json('id'), 'body' => $request->getContent()]);

        return new JsonResponse(['ok' => true]);
    });
});
$app->handleRequest(Request::capture());
