<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Repeating;
use App\Bench\ShopClock;
use App\Chain\Version;
use App\Gauges\InstrumentChecks;
use App\Http\IfMatch;
use App\Models\Audit;
use App\Models\Instrument;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Permission;
use VividPull\Core\Wire\StandingCodec;
use VividPull\Core\Wire\TypedQuantities;

/** The instruments of the workshop: everybody looks, a lead keeps them. A job keeps the shelf it was opened with. */
final class ShelfController
{
    /** Days before a calibration falls due within which it is called soon. */
    private const SOON = 30;

    public function show(Request $request): JsonResponse
    {
        $user = User::of($request);
        $shelf = Instrument::onTheShelf();
        $mine = array_filter(
            Repeating::on($shelf),
            static fn (array $one): bool => $one['person'] === $user->person()->id,
        );
        $mine = array_column($mine, null, 'instrument');
        $today = ShopClock::today();

        return new JsonResponse([
            'may_keep' => $user->acting()->may(Permission::KeepShop),
            'instruments' => $shelf->map(static fn (Instrument $one): array => $one->asWritten() + [
                'etag' => Version::of($one->asWritten()),
                'state' => self::state($one, $today),
                'my_deviation_mm' => $mine[$one->id]['deviation_mm'] ?? null,
                'my_freedom' => $mine[$one->id]['freedom'] ?? null,
            ])->values()->all(),
        ]);
    }

    /** A new instrument, or what was wrong or is new about one: a fresh certificate, above all. */
    public function store(Request $request, string $id): JsonResponse
    {
        $node = TypedQuantities::readIn(Node::fromJson($request->getContent()))->object(
            ['name', 'kind', 'calibration'],
            ['resolution_mm', 'reach_mm', 'resolution_n', 'reach_n', 'inch_marks'],
        );
        $instrument = StandingCodec::instrument(Node::of(['id' => $id] + (array) $node->value));
        if ($node->has('calibration') && $node->at('calibration')->has('due')) {
            $node->at('calibration')->at('due')->day();
        }
        $twin = Instrument::onTheShelf()->first(
            static fn (Instrument $one): bool => $one->id !== $id
                && mb_strtolower($one->instrument()->name) === mb_strtolower($instrument->name),
        );
        if ($twin !== null) {
            throw new Conflict("Another instrument is called {$instrument->name}. Give each its own name.");
        }
        $body = StandingCodec::encodeInstrument($instrument);
        unset($body['id']);
        $user = User::of($request);
        DB::transaction(static function () use ($id, $body, $request, $user): void {
            $row = Instrument::query()->lockForUpdate()->find($id);
            $before = $row === null ? [] : self::said($row);
            if ($row !== null) {
                Version::mustBe(IfMatch::of($request), Version::of($row->asWritten()), "instrument {$id}", $before);
            }
            $row ??= new Instrument(['id' => $id, 'place' => (int) Instrument::query()->max('place') + 1]);
            $row->forceFill(['body' => $body, 'retired_at' => null])->save();
            Audit::note(
                $user,
                $before === [] ? 'instrument added' : 'instrument changed',
                (string) $body['name'],
                Audit::changes($before, self::said($row)),
                "instrument {$id}",
            );
        });

        return $this->show($request);
    }

    /** Put away: not offered any more. What was read with it stays. */
    public function destroy(Request $request, string $id): JsonResponse
    {
        $row = Instrument::query()->whereNull('retired_at')->findOrFail($id);
        if ($row->readsPlay() && Instrument::forPlay()->count() === 1) {
            throw Refused::because('The last instrument that play is read with stays on the shelf.');
        }
        $row->forceFill(['retired_at' => CarbonImmutable::now()])->save();
        Audit::note(
            User::of($request),
            'instrument put away',
            $row->instrument()->name,
            subject: "instrument {$id}",
        );

        return $this->show($request);
    }

    /** How it was found to show and to repeat, each time it was held against something. */
    public function checks(Request $request, string $id): JsonResponse
    {
        $instrument = Instrument::query()->findOrFail($id);

        return new JsonResponse([
            'may_keep' => User::of($request)->acting()->may(Permission::KeepShop),
            'instrument' => [
                'id' => $instrument->id,
                'name' => $instrument->instrument()->name,
                'kind' => $instrument->kind()->value,
            ],
            'checks' => InstrumentChecks::of($instrument),
        ]);
    }

    public function check(Request $request, string $id): JsonResponse
    {
        $node = Node::fromJson($request->getContent());
        $instrument = Instrument::query()->whereNull('retired_at')->findOrFail($id);

        return new JsonResponse([
            'told' => InstrumentChecks::take($instrument, $node, User::of($request)),
            'checks' => InstrumentChecks::of($instrument),
        ]);
    }

    /** @return array<string, scalar|null> what can be changed about it, each by its own name */
    private static function said(Instrument $one): array
    {
        $written = $one->instrument();
        $in = StandingCodec::unitKey($written->kind);

        return [
            'name' => $written->name,
            'kind' => $written->kind->value,
            "resolution_{$in}" => $written->resolution,
            "reach_{$in}" => $written->reach,
            'inch_marks' => $written->inchMarks,
            "expanded_{$in}" => $written->calibration?->expanded,
            'factor' => $written->calibration?->factor,
            'due' => $written->calibration?->due,
        ];
    }

    private static function state(Instrument $one, string $today): string
    {
        $calibration = $one->instrument()->calibration;

        return match (true) {
            $calibration?->due === null => 'no_date',
            $calibration->isOverdueOn($today) => 'overdue',
            $calibration->isOverdueOn(CarbonImmutable::parse($today)->addDays(self::SOON + 1)->toDateString()) => 'soon',
            default => 'good',
        };
    }
}
