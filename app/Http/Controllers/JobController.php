<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\ComparableControls;
use App\Bench\EntryRequest;
use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Bench\ModelParts;
use App\Bench\Opening;
use App\Http\Resources\JobResource;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Input\Node;

final class JobController
{
    public function store(Request $request, string $tag, Opening $opening): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $node = Node::fromJson($request->getContent())->object(['id', 'control'], ['check']);
        $id = EntryRequest::uuid($node->at('id'));
        $control = Control::query()->with(['machine', 'specVersion'])
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', $tag))
            ->where('key', $node->at('control')->string(40))->firstOrFail();
        $job = $opening->open(
            $control,
            $user,
            $id,
            CarbonImmutable::now(),
            isCheck: $node->flag('check'),
        );

        return new JsonResponse($this->whole($job->id), $job->wasRecentlyCreated ? 201 : 200);
    }

    /** A lead puts a closed job right by a new one that names it. What was signed stays signed. */
    public function correct(Request $request, string $job, Opening $opening): JsonResponse
    {
        $node = Node::fromJson($request->getContent())->object(['id', 'why']);
        $id = EntryRequest::uuid($node->at('id'));
        $closed = ControlJob::query()->with(['control.machine', 'control.specVersion'])->findOrFail($job);
        if ($closed->closed_at === null) {
            throw new Conflict('This job is still open: put it right where it is.');
        }
        $made = $opening->open(
            $closed->control,
            User::of($request),
            $id,
            CarbonImmutable::now(),
            $closed,
            trim($node->at('why')->string(300)),
        );

        return new JsonResponse($this->whole($made->id), $made->wasRecentlyCreated ? 201 : 200);
    }

    public function show(string $job): JsonResponse
    {
        return new JsonResponse($this->whole($job));
    }

    /** Machines whose control of the same make stands right, to set this one like. */
    public function alike(string $job): JsonResponse
    {
        return new JsonResponse(['machines' => ComparableControls::to(JobHead::find($job))]);
    }

    /** What was fitted to other machines of the model, and what did not fit. */
    public function parts(string $job): JsonResponse
    {
        return new JsonResponse(['parts' => ModelParts::of(JobHead::find($job))]);
    }

    /** The job as a file for `bin/vivid replay`. */
    public function file(string $job): JsonResponse
    {
        $found = JobHead::find($job);
        $name = "{$found->tag}-{$found->controlKey}-{$found->openedAt->format('Y-m-d')}.json";

        return new JsonResponse(
            JobLog::of($found)->file(),
            200,
            ['Content-Disposition' => "attachment; filename=\"{$name}\""],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @return array<string, mixed> */
    private function whole(string $id): array
    {
        $job = JobHead::find($id);

        return JobResource::of($job, JobLog::of($job)->replay());
    }
}
