<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Intakes;
use App\Bench\Machines;
use App\Http\IfMatch;
use App\Models\Intake;
use App\Models\SpecVersion;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Input\Node;

/** What is done to a machine outside its jobs. */
final class MachineKeepingController
{
    public function __construct(private readonly MachineController $machines) {}

    public function add(Request $request): JsonResponse
    {
        $machine = Machines::add(Node::fromJson($request->getContent()), User::of($request));

        return $this->machines->show($machine->tag)->setStatusCode(201);
    }

    public function addControl(Request $request, string $tag): JsonResponse
    {
        $machine = Machines::find($tag);
        $node = Node::fromJson($request->getContent())->object(['spec']);
        Machines::addControl(
            $machine,
            SpecVersion::query()->findOrFail($node->at('spec')->integer(1, PHP_INT_MAX)),
            User::of($request),
        );

        return $this->machines->show($machine->tag);
    }

    public function change(Request $request, string $tag): JsonResponse
    {
        $machine = Machines::find($tag);
        Machines::change($machine, Node::fromJson($request->getContent()), User::of($request), IfMatch::of($request));

        return $this->machines->show($machine->tag);
    }

    public function retire(Request $request, string $tag): JsonResponse
    {
        $machine = Machines::find($tag);
        $node = Node::fromJson($request->getContent())->object(['retired'], ['why']);
        $why = $node->optionalString('why', 200);
        $node->at('retired')->boolean()
            ? Machines::retire(
                $machine,
                trim($why ?? $node->at('why')->string(200)),
                User::of($request),
                IfMatch::of($request),
            )
            : Machines::bringBack($machine, User::of($request), IfMatch::of($request));

        return $this->machines->show($machine->tag);
    }

    public function meter(Request $request, string $tag): JsonResponse
    {
        $machine = Machines::find($tag);
        Machines::readMeter($machine, Node::fromJson($request->getContent()), User::of($request));

        return $this->machines->show($machine->tag);
    }

    public function intake(Request $request, string $tag): JsonResponse
    {
        $machine = Machines::find($tag);
        Intakes::take($machine, Node::fromJson($request->getContent()), User::of($request));

        return $this->machines->show($machine->tag);
    }

    public function answer(Request $request, string $intake): JsonResponse
    {
        $found = Intake::query()->with('machine')->findOrFail($intake);
        $node = Node::fromJson($request->getContent())->object(['answer']);
        Intakes::answer($found, trim($node->at('answer')->string(500)), User::of($request));

        return $this->machines->show($found->machine->tag);
    }
}
