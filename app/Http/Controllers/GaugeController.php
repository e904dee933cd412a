<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Gauges\Arrivals;
use App\Gauges\Bridges;
use App\Gauges\Listening;
use App\Gauges\Recordings;
use App\Gauges\SimulatedGauges;
use App\Gauges\Streaming;
use App\Http\Middleware\KnowBridge;
use App\Models\GaugeBridge;
use App\Models\User;
use App\People\Device;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;
use VividPull\Core\Bench\Acceptance;
use VividPull\Core\Input\Node;

/** Gauges that speak: the computers that carry them, what they send, and the jobs that listen. */
final class GaugeController
{
    public function bridges(): JsonResponse
    {
        return new JsonResponse(['bridges' => Bridges::rows()]);
    }

    public function addBridge(Request $request): JsonResponse
    {
        $name = Node::fromJson($request->getContent())->object(['name'])->at('name')->name();
        $token = Bridges::add($name, User::of($request));

        return new JsonResponse(['bridges' => Bridges::rows(), 'token' => $token], 201);
    }

    public function endBridge(Request $request, string $bridge): JsonResponse
    {
        Bridges::end(Bridges::find($bridge), User::of($request));

        return $this->bridges();
    }

    /** A computer says that it is there, and what it carries. */
    public function hello(Request $request): JsonResponse
    {
        $heard = Bridges::heard(self::bridge($request), Node::fromJson($request->getContent()));
        Arrivals::sweep(CarbonImmutable::now());

        return new JsonResponse($heard);
    }

    public function reading(Request $request): JsonResponse
    {
        return new JsonResponse(Arrivals::take(
            self::bridge($request),
            Node::fromJson($request->getContent()),
            CarbonImmutable::now(),
        ));
    }

    /** A pull that a force gauge recorded. */
    public function recording(Request $request): JsonResponse
    {
        return new JsonResponse(Recordings::take(
            self::bridge($request),
            Node::fromJson($request->getContent()),
            CarbonImmutable::now(),
        ));
    }

    public function show(Request $request, string $job): JsonResponse
    {
        $head = JobHead::find($job);

        return new JsonResponse([
            'gauges' => Listening::of($head, Device::of($request)?->short()),
            'waiting' => Arrivals::waiting($head->id, CarbonImmutable::now()),
            'recordings' => Recordings::waiting($head->id),
        ]);
    }

    public function listen(Request $request, string $job, string $instrument): JsonResponse
    {
        $head = JobHead::find($job);
        Acceptance::mayWrite(JobLog::of($head)->replay(), User::of($request)->person());
        Listening::claim($head, $instrument, User::of($request), self::device($request)->short());

        return $this->show($request, $job);
    }

    public function letGo(Request $request, string $job, string $instrument): JsonResponse
    {
        Listening::letGo(JobHead::find($job), $instrument);

        return $this->show($request, $job);
    }

    public function drop(Request $request, string $job, string $reading): JsonResponse
    {
        Arrivals::drop(JobHead::find($job)->id, $reading);

        return $this->show($request, $job);
    }

    public function dropRecording(Request $request, string $job, string $trace): JsonResponse
    {
        Recordings::drop(JobHead::find($job)->id, $trace);

        return $this->show($request, $job);
    }

    public function stream(Request $request, string $job): StreamedResponse
    {
        return Streaming::of(JobHead::find($job)->id, self::device($request)->short());
    }

    /** The simulated gauges of the demo; none in a workshop of one's own. */
    public function simulated(): JsonResponse
    {
        return new JsonResponse(['gauges' => SimulatedGauges::all()]);
    }

    public function work(Request $request, string $gauge): JsonResponse
    {
        SimulatedGauges::tell($gauge, Node::fromJson($request->getContent()));

        return $this->simulated();
    }

    private static function device(Request $request): Device
    {
        return Device::of($request)
            ?? throw new Conflict('This browser is not known here yet. Sign in again, and let the gauge speak then.');
    }

    private static function bridge(Request $request): GaugeBridge
    {
        $bridge = $request->attributes->get(KnowBridge::BRIDGE);
        assert($bridge instanceof GaugeBridge);

        return $bridge;
    }
}
