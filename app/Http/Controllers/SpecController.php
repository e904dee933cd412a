<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\IfMatch;
use App\Library\SpecChanges;
use App\Library\SpecContent;
use App\Library\SpecList;
use App\Library\SpecTaught;
use App\Library\SpecUse;
use App\Library\SpecWriter;
use App\Models\Control;
use App\Models\SpecVersion;
use App\Models\User;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Permission;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Wire\StartingSpec;
use VividPull\Core\Wire\TypedQuantities;

/** The spec library: everybody looks, technicians enter and check each other, a lead puts in force. */
final class SpecController
{
    private const MOST_PAGES = 1000;

    public function index(Request $request): JsonResponse
    {
        $find = $request->query('find');
        $page = $request->query('page');

        return new JsonResponse(SpecList::page(
            is_string($find) ? mb_substr($find, 0, 80) : '',
            is_string($page) ? max(1, min(self::MOST_PAGES, (int) $page)) : 1,
        ));
    }

    public function show(Request $request, int $spec): JsonResponse
    {
        return new JsonResponse($this->whole(self::find($spec), User::of($request)));
    }

    public function store(Request $request): JsonResponse
    {
        $spec = SpecWriter::enter(TypedQuantities::readIn(Node::fromJson($request->getContent())), User::of($request));

        return new JsonResponse($this->whole($spec, User::of($request)), 201);
    }

    public function update(Request $request, int $spec): JsonResponse
    {
        $found = self::find($spec);

        return new JsonResponse($this->whole(
            SpecWriter::change(
                $found,
                TypedQuantities::readIn(Node::fromJson($request->getContent())),
                User::of($request),
                IfMatch::of($request),
            ),
            User::of($request),
        ));
    }

    public function destroy(Request $request, int $spec): Response
    {
        SpecWriter::discard(self::find($spec), User::of($request));

        return new Response(status: 204);
    }

    public function check(Request $request, int $spec): JsonResponse
    {
        $user = User::of($request);
        $checked = DB::transaction(static fn (): SpecVersion => SpecWriter::check(
            self::asSeen($spec, $request),
            $user,
        ));

        return new JsonResponse($this->whole($checked, $user));
    }

    public function adopt(Request $request, int $spec): JsonResponse
    {
        $user = User::of($request);
        $found = DB::transaction(static function () use ($spec, $request, $user): SpecVersion {
            $seen = self::asSeen($spec, $request);
            SpecWriter::adopt($seen, $user);

            return $seen;
        });

        return new JsonResponse($this->whole($found, $user));
    }

    public function changes(int $spec): JsonResponse
    {
        return new JsonResponse(SpecChanges::of(SpecVersion::query()->findOrFail($spec)));
    }

    /** What a spec of a family begins from, until its book is at hand. */
    public function starting(string $family): JsonResponse
    {
        $key = FamilyKey::tryFrom($family) ?? throw (new ModelNotFoundException)->setModel(SpecVersion::class);

        return new JsonResponse(StartingSpec::of($key));
    }

    /** A band as it is typed from print: what it means, and where its two units disagree. */
    public function printed(Request $request): JsonResponse
    {
        return new JsonResponse(SpecWriter::printed(
            Node::fromJson($request->getContent())->object(['printed'])->at('printed')->string(120),
        ));
    }

    /** A sketch of where the book measures, as its picture shows it. */
    public function keepSketch(Request $request, int $spec): JsonResponse
    {
        $found = self::find($spec);
        SpecWriter::sketch($found, $request->getContent(), User::of($request));

        return new JsonResponse($this->whole($found, User::of($request)));
    }

    public function sketch(int $spec): Response
    {
        $jpeg = DB::table('spec_sketches')->where('spec_version_id', $spec)->value('jpeg');

        return is_string($jpeg)
            ? new Response(
                $jpeg,
                200,
                [
                    'Content-Type' => 'image/jpeg',
                    'Cache-Control' => 'private, no-cache',
                    'X-Content-Type-Options' => 'nosniff',
                ],
            )
            : throw (new ModelNotFoundException)->setModel(SpecVersion::class);
    }

    private static function asSeen(int $spec, Request $request): SpecVersion
    {
        return SpecContent::held(self::find($spec), Node::fromJson($request->getContent()));
    }

    private static function find(int $spec): SpecVersion
    {
        return SpecVersion::query()->with('enteredBy')->findOrFail($spec);
    }

    /** @return array<string, mixed> */
    private function whole(SpecVersion $spec, User $user): array
    {
        $versions = SpecVersion::query()
            ->where('model', $spec->model)
            ->where('control', $spec->control)
            ->orderByDesc('version')
            ->get();
        $controls = Control::query()->with('machine')->whereIn('spec_version_id', $versions->pluck('id'))->get();
        $isOwn = $spec->entered_by_id === $user->id;
        $missing = $spec->missing();
        $alone = SpecUse::worksAlone();
        $keeps = $user->acting()->may(Permission::KeepShop);
        $isElsewhere = $controls->contains(static fn (Control $one): bool => $one->spec_version_id !== $spec->id);

        return SpecList::brief($spec, $alone) + [
            'minutes' => $spec->minutes,
            'content' => SpecContent::of($spec),
            'spec' => $spec->body,
            'run' => $spec->run,
            'missing' => $missing,
            'hangs' => $spec->hangs,
            'has_sketch' => DB::table('spec_sketches')->where('spec_version_id', $spec->id)->exists(),
            'checked_at' => $spec->checked_at?->toIso8601String(),
            'taught' => SpecTaught::of($spec, $controls),
            'may' => [
                'change' => $spec->isDraft() && ($isOwn || $keeps),
                'check' => $spec->isDraft() && $missing === [] && ! $isOwn && $user->acting()->maySignOff(),
                'adopt' => $keeps && SpecUse::judges($spec, $alone) && $isElsewhere,
            ],
            'versions' => $versions->map(
                static fn (SpecVersion $one): array => SpecList::brief($one, $alone)
                    + ['machines' => $controls->where('spec_version_id', $one->id)->count()],
            )->values()->all(),
            'machines' => $controls->map(static fn (Control $one): array => [
                'tag' => $one->machine->tag,
                'version' => (int) $versions->firstWhere('id', $one->spec_version_id)?->version,
            ])->sortBy('tag')->values()->all(),
        ];
    }
}
