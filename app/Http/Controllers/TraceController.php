<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\EntryRequest;
use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Bench\Traces;
use App\Models\Trace;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use VividPull\Core\Bench\Acceptance;
use VividPull\Core\Wire\Node;

/** Pulls as curves: the points sent as they are, under an id their sender made; read for whoever looks. */
final class TraceController
{
    public function store(Request $request, string $job, string $trace): JsonResponse
    {
        $user = User::of($request);
        $head = JobHead::find($job);
        Acceptance::mayWrite(JobLog::of($head)->replay(), $user->person());
        Traces::keep($head, $user, EntryRequest::uuid(Node::of($trace, '$.trace')), $request->getContent(), CarbonImmutable::now());

        return new JsonResponse(['id' => $trace]);
    }

    /** As it is asked for; or, where nothing is asked, as it stands in the log. */
    public function show(Request $request, string $job, string $trace): JsonResponse
    {
        $traces = Traces::of(JobHead::find($job));
        $how = $request->query->all();
        $how = $how === [] ? $traces->howKept($trace) : [
            ...array_diff_key($how, ['at_mm' => 0, 'to_stop' => 0]),
            ...(isset($how['at_mm']) ? ['at_mm' => is_numeric($how['at_mm']) ? (float) $how['at_mm'] : $how['at_mm']] : []),
            'to_stop' => ($how['to_stop'] ?? '') === '1',
        ];

        return new JsonResponse($traces->read($trace, Node::of($how, '$')));
    }

    /** The points, as a file. */
    public function points(Request $request, string $job, string $trace): Response|JsonResponse
    {
        $found = Trace::query()->where('job_id', $job)->findOrFail($trace);
        $name = JobHead::find($job)->tag.'-pull-'.substr($found->id, 0, 8);
        if ($request->query('as') !== 'json') {
            return new Response($found->csv, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}.csv\""]);
        }
        $rows = array_map(static function (string $line): array {
            [$travel, $force, $way] = explode(',', $line);

            return ['travel_mm' => (float) $travel, 'force_n' => (float) $force, 'direction' => $way];
        }, array_slice(explode("\n", trim($found->csv)), 1));

        return new JsonResponse(['format' => 'vivid-pull/trace@1', 'points' => $rows], 200, ['Content-Disposition' => "attachment; filename=\"{$name}.json\""]);
    }
}
