<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\LeadsDay;
use App\Bench\ShopClock;
use App\Bench\Today;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class BenchController
{
    /** What waits for a lead. */
    public function lead(Request $request): JsonResponse
    {
        return new JsonResponse(['groups' => LeadsDay::of(User::of($request), CarbonImmutable::now())]);
    }

    public function show(): JsonResponse
    {
        return new JsonResponse(Today::at(ShopClock::now()));
    }
}
