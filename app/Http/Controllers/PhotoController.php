<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\EntryRequest;
use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Bench\Pictures;
use App\Models\Photo;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use VividPull\Core\Bench\Acceptance;
use VividPull\Core\Input\Node;

/** Pictures of a job: sent as they are, under an id their sender made. */
final class PhotoController
{
    public function store(Request $request, string $job, string $photo): JsonResponse
    {
        $user = User::of($request);
        $head = JobHead::find($job);
        Acceptance::mayWrite(JobLog::of($head)->replay(), $user->person());
        Pictures::keep(
            $head,
            $user,
            EntryRequest::uuid(Node::of($photo, '$.photo')),
            $request->getContent(),
            CarbonImmutable::now(),
        );

        return new JsonResponse(['id' => $photo]);
    }

    public function show(string $job, string $photo): Response
    {
        $found = Photo::query()->where('job_id', $job)->findOrFail($photo);

        return new Response(
            $found->jpeg,
            200,
            [
                'Content-Type' => 'image/jpeg',
                'Cache-Control' => 'private, max-age=31536000, immutable',
                'X-Content-Type-Options' => 'nosniff',
            ],
        );
    }
}
