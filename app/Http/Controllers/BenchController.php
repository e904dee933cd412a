<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\ShopClock;
use App\Bench\Today;
use Illuminate\Http\JsonResponse;

final class BenchController
{
    public function show(): JsonResponse
    {
        return new JsonResponse(Today::at(ShopClock::now()));
    }
}
