<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\EntryController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\MachineController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShelfController;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::get('session', [SessionController::class, 'show']);
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::middleware('auth')->group(function (): void {
        Route::delete('session', [SessionController::class, 'destroy']);
        Route::get('bench', [BenchController::class, 'show']);
        Route::get('machines', [MachineController::class, 'index']);
        Route::get('machines/{tag}', [MachineController::class, 'show']);
        Route::post('machines/{tag}/jobs', [JobController::class, 'store']);
        Route::get('jobs/{job}', [JobController::class, 'show']);
        Route::get('jobs/{job}/file', [JobController::class, 'file']);
        Route::get('jobs/{job}/alike', [JobController::class, 'alike']);
        Route::get('shelf', [ShelfController::class, 'show']);
        Route::put('shelf/{instrument}', [ShelfController::class, 'store']);
        Route::delete('shelf/{instrument}', [ShelfController::class, 'destroy']);
        Route::put('jobs/{job}/photos/{photo}', [PhotoController::class, 'store']);
        Route::get('jobs/{job}/photos/{photo}', [PhotoController::class, 'show']);
        Route::post('jobs/{job}/entries', [EntryController::class, 'store']);
    });
    Route::any('{any}', static fn () => abort(404))->where('any', '.*');
});

// Browsers ask for this by themselves; it must not begin a session that takes another's place.
Route::redirect('favicon.ico', '/icon.svg')->withoutMiddleware('web');

// Every other address is the one page, which finds its own way.
Route::view('{any}', 'app')->where('any', '.*');
