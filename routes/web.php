<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\CableController;
use App\Http\Controllers\CauseCountController;
use App\Http\Controllers\ComplaintController;
use App\Http\Controllers\DueController;
use App\Http\Controllers\EntryController;
use App\Http\Controllers\ExchangeController;
use App\Http\Controllers\GaugeController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\MachineController;
use App\Http\Controllers\MachineKeepingController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\PracticeGroupController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\SpecController;
use App\Http\Controllers\TraceController;
use App\Http\Controllers\TrustController;
use App\Http\Middleware\EnsureActiveUser;
use App\Http\Middleware\KnowBridge;
use App\Http\Middleware\SpeakUnits;
use Illuminate\Support\Facades\Route;

// Longer numbers are no id that the database has.
Route::pattern('spec', '[0-9]{1,12}');

Route::prefix('api')->group(function (): void {
    Route::get('session', [SessionController::class, 'show']);
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::middleware(['auth', EnsureActiveUser::class, SpeakUnits::class])->group(function (): void {
        Route::delete('session', [SessionController::class, 'destroy']);
        Route::post('session/person', [SessionController::class, 'change'])->middleware('throttle:sign-in');
        Route::put('session/password', [PeopleController::class, 'ownPassword'])->middleware('throttle:sign-in');
        Route::put('session/pin', [PeopleController::class, 'ownPin']);
        Route::put('session/units', [SessionController::class, 'units']);
        Route::get('sessions', [PeopleController::class, 'sessions']);
        Route::delete('sessions/{key}', [PeopleController::class, 'endSession']);
        Route::get('people', [PeopleController::class, 'index']);
        Route::get('bench', [BenchController::class, 'show']);
        Route::get('machines', [MachineController::class, 'index']);
        Route::get('yard', [MachineController::class, 'yard']);
        Route::get('machines/{tag}', [MachineController::class, 'show']);
        Route::post('machines/{tag}/jobs', [JobController::class, 'store'])->middleware('may:log');
        Route::get('jobs/{job}', [JobController::class, 'show']);
        Route::get('jobs/{job}/file', [JobController::class, 'file']);
        Route::get('jobs/{job}/alike', [JobController::class, 'alike']);
        Route::get('jobs/{job}/parts', [JobController::class, 'parts']);
        Route::get('practice', [PracticeController::class, 'index']);
        Route::post('practice/attempts', [PracticeController::class, 'begin']);
        Route::get('practice/attempts/{attempt}', [PracticeController::class, 'show']);
        Route::post('practice/attempts/{attempt}/entries', [PracticeController::class, 'write']);
        Route::post('practice/attempts/{attempt}/acts', [PracticeController::class, 'act']);
        Route::middleware('may:keep_shop')->group(function (): void {
            Route::get('practice/lessons/{lesson}', [PracticeController::class, 'file']);
            Route::put('practice/lessons/{lesson}', [PracticeController::class, 'take']);
            Route::delete('practice/lessons/{lesson}', [PracticeController::class, 'remove']);
            Route::get('practice/lessons/{lesson}/form', [PracticeController::class, 'form']);
            Route::post('practice/lessons/{lesson}/like', [PracticeController::class, 'fill']);
            Route::post('practice/lessons', [PracticeController::class, 'make']);
            Route::get('practice/groups', [PracticeGroupController::class, 'index']);
            Route::post('practice/groups', [PracticeGroupController::class, 'store']);
            Route::put('practice/groups/{group}', [PracticeGroupController::class, 'update']);
            Route::delete('practice/groups/{group}', [PracticeGroupController::class, 'remove']);
            Route::post('practice/groups/{group}/tasks', [PracticeGroupController::class, 'set']);
            Route::delete('practice/groups/{group}/tasks/{task}', [PracticeGroupController::class, 'takeBack']);
            Route::get('practice/learners', [PracticeController::class, 'learners']);
            Route::get('export/practice', [PracticeController::class, 'learnersFile']);
            Route::post('people', [PeopleController::class, 'store']);
            Route::put('people/{login}', [PeopleController::class, 'update']);
            Route::post('people/{login}/password', [PeopleController::class, 'newPassword']);
            Route::get('audit', [PeopleController::class, 'audit']);
            Route::get('shop/today', [BenchController::class, 'lead']);
            Route::get('export/shop', [ExchangeController::class, 'shop']);
            Route::get('imports', [ExchangeController::class, 'imports']);
            Route::put('imports/{import}', [ExchangeController::class, 'take']);
            Route::get('imports/{import}', [ExchangeController::class, 'import']);
            Route::post('imports/{import}/run', [ExchangeController::class, 'run']);
            Route::delete('imports/{import}', [ExchangeController::class, 'forget']);
            Route::post('jobs/{job}/correction', [JobController::class, 'correct']);
            Route::post('machines', [MachineKeepingController::class, 'add']);
            Route::post('machines/{tag}/controls', [MachineKeepingController::class, 'addControl']);
            Route::put('machines/{tag}', [MachineKeepingController::class, 'change']);
            Route::put('machines/{tag}/retired', [MachineKeepingController::class, 'retire']);
            Route::put('shop/units', [SessionController::class, 'shopUnits']);
            Route::put('shop/alone', [SessionController::class, 'worksAlone']);
            Route::put('causes/{family}', [CauseCountController::class, 'update']);
            Route::get('bridges', [GaugeController::class, 'bridges']);
            Route::post('bridges', [GaugeController::class, 'addBridge']);
            Route::delete('bridges/{bridge}', [GaugeController::class, 'endBridge']);
            Route::post('specs/{spec}/adopt', [SpecController::class, 'adopt']);
        });
        Route::middleware('may:report')->group(function (): void {
            Route::post('machines/{tag}/meter', [MachineKeepingController::class, 'meter']);
            Route::post('machines/{tag}/intakes', [MachineKeepingController::class, 'intake']);
            Route::post('machines/{tag}/controls/{control}/complaints', [ComplaintController::class, 'open']);
            Route::post('complaints/{complaint}/answers', [ComplaintController::class, 'answer']);
            Route::post('complaints/{complaint}/closed', [ComplaintController::class, 'close']);
            Route::post(
                'intakes/{intake}/answer',
                [MachineKeepingController::class, 'answer'],
            )->middleware('may:sign_off');
        });
        Route::get('complaints', [ComplaintController::class, 'index']);
        Route::get('causes/{family}', [CauseCountController::class, 'show']);
        Route::get('complaints/{complaint}/sheet', [SheetController::class, 'complaint']);
        Route::get('complaints/{complaint}', [ComplaintController::class, 'show']);
        Route::get('machines/{tag}/controls/{control}/symptoms', [ComplaintController::class, 'start']);
        Route::get('jobs/{job}/sheet', [SheetController::class, 'job']);
        Route::get('machines/{tag}/sheet', [SheetController::class, 'machine']);
        Route::get('machines/{tag}/service', [MachineController::class, 'service']);
        Route::get('machines/{tag}/service/sheet', [SheetController::class, 'service']);
        Route::get('machines/{tag}/controls/{control}/blank', [SheetController::class, 'blank']);
        Route::get('export/history', [ExchangeController::class, 'history']);
        Route::get('export/readings', [ExchangeController::class, 'readings']);
        Route::get('export/specs', [ExchangeController::class, 'specs']);
        Route::get('export/causes', [ExchangeController::class, 'causes']);
        Route::get('export/cables', [ExchangeController::class, 'cables']);
        Route::get('due', [DueController::class, 'index']);
        Route::put('machines/{tag}/controls/{control}/plan', [DueController::class, 'plan'])->middleware('may:log');
        Route::put('bench/present', [DueController::class, 'present'])->middleware('may:log');
        Route::post('calendar', [DueController::class, 'subscribe']);
        Route::delete('calendar', [DueController::class, 'unsubscribe']);
        Route::get('specs', [SpecController::class, 'index']);
        Route::get('specs/starting/{family}', [SpecController::class, 'starting']);
        Route::get('specs/{spec}', [SpecController::class, 'show']);
        Route::get('specs/{spec}/sketch', [SpecController::class, 'sketch']);
        Route::get('specs/{spec}/changes', [SpecController::class, 'changes']);
        Route::middleware('may:enter_specs')->group(function (): void {
            Route::post('specs', [SpecController::class, 'store']);
            Route::post('specs/printed', [SpecController::class, 'printed']);
            Route::put('specs/{spec}/sketch', [SpecController::class, 'keepSketch']);
            Route::put('specs/{spec}', [SpecController::class, 'update']);
            Route::delete('specs/{spec}', [SpecController::class, 'destroy']);
            Route::post('specs/{spec}/check', [SpecController::class, 'check']);
            Route::put('cables/{cable}', [CableController::class, 'store']);
            Route::delete('cables/{cable}', [CableController::class, 'destroy']);
        });
        Route::get('cables', [CableController::class, 'index']);
        Route::get('machines/{tag}/controls/{control}/cables', [CableController::class, 'fitting']);
        Route::get('shelf', [ShelfController::class, 'show']);
        Route::put('shelf/{instrument}', [ShelfController::class, 'store'])->middleware('may:keep_shop');
        Route::get('shelf/{instrument}/checks', [ShelfController::class, 'checks']);
        Route::post('shelf/{instrument}/checks', [ShelfController::class, 'check'])->middleware('may:keep_shop');
        Route::delete('shelf/{instrument}', [ShelfController::class, 'destroy'])->middleware('may:keep_shop');
        Route::put('jobs/{job}/photos/{photo}', [PhotoController::class, 'store'])->middleware('may:log');
        Route::get('jobs/{job}/photos/{photo}', [PhotoController::class, 'show']);
        Route::put('jobs/{job}/traces/{trace}', [TraceController::class, 'store'])->middleware('may:log');
        Route::get('jobs/{job}/traces/{trace}', [TraceController::class, 'show']);
        Route::get('jobs/{job}/traces/{trace}/points', [TraceController::class, 'points']);
        Route::get('simulated', [GaugeController::class, 'simulated']);
        Route::post('simulated/{gauge}', [GaugeController::class, 'work'])->middleware('may:log');
        Route::get('jobs/{job}/gauges', [GaugeController::class, 'show']);
        Route::get('jobs/{job}/gauges/stream', [GaugeController::class, 'stream'])->middleware('may:log');
        Route::put('jobs/{job}/gauges/{instrument}', [GaugeController::class, 'listen'])->middleware('may:log');
        Route::delete('jobs/{job}/gauges/{instrument}', [GaugeController::class, 'letGo'])->middleware('may:log');
        Route::delete('jobs/{job}/gauges/readings/{reading}', [GaugeController::class, 'drop'])->middleware('may:log');
        Route::delete(
            'jobs/{job}/gauges/recordings/{trace}',
            [GaugeController::class, 'dropRecording'],
        )->middleware('may:log');
        Route::post('jobs/{job}/entries', [EntryController::class, 'store'])->middleware('may:log');
    });
    // What gauges send comes by a token of its own, and no session.
    Route::middleware(['throttle:gauges', KnowBridge::class])->withoutMiddleware('web')->group(function (): void {
        Route::put('gauges/here', [GaugeController::class, 'hello']);
        Route::post('gauges/readings', [GaugeController::class, 'reading']);
        Route::post('gauges/recordings', [GaugeController::class, 'recording']);
    });
    Route::any('{any}', static fn () => abort(404))->where('any', '.*');
});

// Calendars carry their own secret, and no session.
Route::get('calendar/{token}.ics', [DueController::class, 'calendar'])
    ->where('token', '[0-9a-f]{48}')
    ->withoutMiddleware('web')
    ->middleware('throttle:60,1');

// How a phone comes to trust the workshop's HTTPS; asked for before anybody signs in.
Route::get('trust/about', [TrustController::class, 'about'])->withoutMiddleware('web');
Route::get('trust/authority.crt', [TrustController::class, 'authority'])->withoutMiddleware('web');

// Browsers ask for this by themselves; it must not begin a session that takes another's place.
Route::redirect('favicon.ico', '/icon.svg')->withoutMiddleware('web');

// Every other address is the one page, which finds its own way. It says nothing of anybody, so looking at it begins no
// session.
Route::get('{address?}', PageController::class)->where('address', '.*')->withoutMiddleware('web');
