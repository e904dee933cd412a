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
use VividPull\Core\Input\Node;

/** Pulls as curves: the points sent as they are, under an id their sender made; read for whoever looks. */
final class TraceController
{
    /** What is a number in a query. */
    private const SIZES = ['at_mm' => 0, 'reach_mm' => 0];

    public function store(Request $request, string $job, string $trace): JsonResponse
    {
        $user = User::of($request);
        $head = JobHead::find($job);
        Acceptance::mayWrite(JobLog::of($head)->replay(), $user->person());
        Traces::keep(
            $head,
            $user,
            EntryRequest::uuid(Node::of($trace, '$.trace')),
            $request->getContent(),
            CarbonImmutable::now(),
        );

        return new JsonResponse(['id' => $trace]);
    }

    /** As it is asked for; or, where nothing is asked, as it stands in the log. */
    public function show(Request $request, string $job, string $trace): JsonResponse
    {
        $head = JobHead::find($job);
        $traces = Traces::of($head, JobLog::of($head)->replay());
        $how = $request->query->all();
        $how = $how === [] ? $traces->howKept($trace) : [
            ...array_diff_key($how, self::SIZES),
            ...array_map(
                static fn (mixed $one): mixed => is_numeric($one) ? (float) $one : $one,
                array_intersect_key($how, self::SIZES),
            ),
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
            return new Response(
                $found->csv,
                200,
                [
                    'Content-Type' => 'text/csv; charset=utf-8',
                    'Content-Disposition' => "attachment; filename=\"{$name}.csv\"",
                ],
            );
        }
        [$heading, $lines] = [strstr($found->csv, ',', true), array_slice(explode("\n", trim($found->csv)), 1)];
        $rows = array_map(static function (string $line) use ($heading): array {
            [$at, $force, $way] = explode(',', $line);

            return [(string) $heading => (float) $at, 'force_n' => (float) $force, 'direction' => $way];
        }, $lines);

        return new JsonResponse(
            ['format' => 'vivid-pull/trace@1', 'points' => $rows],
            200,
            ['Content-Disposition' => "attachment; filename=\"{$name}.json\""],
        );
    }
}
