<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\IfMatch;
use App\Models\Audit;
use App\Models\User;
use App\People\Device;
use App\People\OpenSessions;
use App\People\Staff;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;

/** People, where they are signed in, and what was done to the shop. */
final class PeopleController
{
    private const AUDITS = 100;

    public function index(): JsonResponse
    {
        return new JsonResponse(['people' => Staff::rows()]);
    }

    public function store(Request $request): JsonResponse
    {
        $password = Staff::add(Node::fromJson($request->getContent()), User::of($request));

        return new JsonResponse(['people' => Staff::rows(), 'password' => $password], 201);
    }

    public function update(Request $request, string $login): JsonResponse
    {
        Staff::change(
            User::query()->where('login', $login)->firstOrFail(),
            Node::fromJson($request->getContent()),
            User::of($request),
            IfMatch::of($request),
        );

        return $this->index();
    }

    public function newPassword(Request $request, string $login): JsonResponse
    {
        $password = Staff::newPassword(User::query()->where('login', $login)->firstOrFail(), User::of($request));

        return new JsonResponse(['people' => Staff::rows(), 'password' => $password]);
    }

    public function ownPassword(Request $request): Response
    {
        $node = Node::fromJson($request->getContent())->object(['now', 'next']);
        if (! Hash::check($node->at('now')->string(200), User::of($request)->getAuthPassword())) {
            throw Refused::because('That is not your present password.');
        }
        Staff::ownPassword(
            User::of($request),
            $node->at('next')->string(200),
            $request->session()->getId(),
            Device::of($request),
        );

        return new Response(status: 204);
    }

    public function ownPin(Request $request): Response
    {
        $node = Node::fromJson($request->getContent())->object(['pin', 'password']);
        if (! Hash::check($node->at('password')->string(200), User::of($request)->getAuthPassword())) {
            throw Refused::because('That is not your password. A PIN is set only with it.');
        }
        Staff::ownPin(User::of($request), $node->at('pin')->value === null ? null : $node->at('pin')->string(8));

        return new Response(status: 204);
    }

    public function sessions(Request $request): JsonResponse
    {
        return new JsonResponse(['sessions' => OpenSessions::of(User::of($request), $request->session()->getId())]);
    }

    public function endSession(Request $request, string $key): JsonResponse
    {
        return OpenSessions::end(User::of($request), $key)
            ? $this->sessions($request)
            : throw (new ModelNotFoundException)->setModel(User::class);
    }

    /** What was done to the shop, newest first. */
    public function audit(Request $request): JsonResponse
    {
        $before = $request->query('before');
        $query = Audit::query()->with('user')->orderByDesc('id')->limit(self::AUDITS);
        $rows = (is_string($before) && ctype_digit($before) ? $query->where('id', '<', (int) $before) : $query)->get();

        return new JsonResponse(['audits' => $rows->map(static fn (Audit $one): array => [
            'id' => $one->id,
            'at' => $one->at->toIso8601String(),
            'by' => $one->user?->name,
            'action' => $one->action,
            'about' => $one->about,
            'detail' => (object) $one->detail,
        ])->values()->all(), 'more' => $rows->count() === self::AUDITS]);
    }
}
