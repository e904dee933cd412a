<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\EntryRequest;
use App\Bench\JobHead;
use App\Bench\Journal;
use App\Http\Resources\JobResource;
use App\Models\User;
use App\People\Device;
use App\Refusals\WrittenByAnother;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Input\Node;

final class EntryController
{
    public function store(Request $request, string $job, Journal $journal): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $entry = EntryRequest::from(Node::fromJson($request->getContent()));
        $found = JobHead::find($job);
        WrittenByAnother::unless($entry->by, $user);

        return new JsonResponse(JobResource::of(
            $found,
            $journal->write($found, $user, $entry, CarbonImmutable::now(), Device::of($request)?->short()),
        ));
    }
}
