<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Today;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;

final class BenchController
{
    public function show(): JsonResponse
    {
        return new JsonResponse(Today::at(CarbonImmutable::now((string) config('app.workshop_timezone'))));
    }
}
