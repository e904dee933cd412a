<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Complaints;
use App\Bench\Machines;
use App\Models\Complaint;
use App\Models\Control;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Input\Node;

/** From what feels wrong to its cause: everybody may look, whoever reports may answer. */
final class ComplaintController
{
    private const MOST_WORDS = 500;

    public function index(): JsonResponse
    {
        return new JsonResponse(['complaints' => Complaints::waiting()]);
    }

    public function start(Request $request, string $tag, string $control): JsonResponse
    {
        $words = $request->query('words');

        return new JsonResponse(Complaints::start(
            self::control($tag, $control),
            is_string($words) ? mb_substr($words, 0, self::MOST_WORDS) : '',
        ));
    }

    public function open(Request $request, string $tag, string $control): JsonResponse
    {
        $node = Node::fromJson($request->getContent());

        return new JsonResponse(
            Complaints::whole(Complaints::open(self::control($tag, $control), $node, User::of($request))),
            201,
        );
    }

    public function show(Request $request, string $complaint): JsonResponse
    {
        return new JsonResponse(Complaints::whole(self::find($complaint), $request->boolean('by_phone')));
    }

    public function answer(Request $request, string $complaint): JsonResponse
    {
        $node = Node::fromJson($request->getContent());
        Complaints::answer(self::find($complaint), $node, User::of($request));

        return new JsonResponse(Complaints::whole(self::find($complaint), $request->boolean('by_phone')));
    }

    public function close(Request $request, string $complaint): JsonResponse
    {
        $node = Node::fromJson($request->getContent());
        Complaints::close(self::find($complaint), $node, User::of($request));

        return new JsonResponse(Complaints::whole(self::find($complaint)));
    }

    private static function find(string $complaint): Complaint
    {
        return Complaint::query()->with('control.machine')->findOrFail($complaint);
    }

    private static function control(string $tag, string $key): Control
    {
        return Control::query()
            ->with(['machine', 'specVersion'])
            ->where('machine_id', Machines::find($tag)->id)
            ->where('key', $key)
            ->firstOrFail();
    }
}
