<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\EntryRequest;
use App\Bench\Machines;
use App\Http\IfMatch;
use App\Library\BookOfCables;
use App\Models\CableRow;
use App\Models\Control;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Permission;
use VividPull\Core\Wire\TypedQuantities;

/** The book of cables: everybody looks, who enters specs keeps it. */
final class CableController
{
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse([
            'may_keep' => User::of($request)->acting()->may(Permission::EnterSpecs),
            'cables' => BookOfCables::all(),
        ]);
    }

    public function store(Request $request, string $cable): JsonResponse
    {
        $written = TypedQuantities::readIn(Node::fromJson($request->getContent()));
        BookOfCables::keep(EntryRequest::uuid(Node::of($cable)), $written, User::of($request), IfMatch::of($request));

        return $this->index($request);
    }

    public function destroy(Request $request, string $cable): JsonResponse
    {
        BookOfCables::leaveOut(CableRow::query()->findOrFail($cable), User::of($request));

        return $this->index($request);
    }

    /** Which known cable fits this control, and where its adjusters would land. */
    public function fitting(Request $request, string $tag, string $control): JsonResponse
    {
        $found = Control::query()
            ->with(['machine', 'specVersion'])
            ->where('machine_id', Machines::find($tag)->id)
            ->where('key', $control)
            ->firstOrFail();

        return new JsonResponse(
            [
                'may_keep' => User::of($request)->acting()->may(Permission::EnterSpecs),
                'control' => $found->id,
                'name' => $found->name,
            ]
                + BookOfCables::fitting($found),
        );
    }
}
