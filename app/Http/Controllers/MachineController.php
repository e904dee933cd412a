<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Complaints;
use App\Bench\ControlPast;
use App\Bench\ControlResource;
use App\Bench\ControlStory;
use App\Bench\Intakes;
use App\Bench\Machines;
use App\Bench\Service;
use App\Bench\ShopClock;
use App\Bench\Today;
use App\Bench\Yard;
use App\Chain\Version;
use App\Http\Resources\JobResource;
use App\Models\Control;
use App\Models\FormerTag;
use App\Models\Machine;
use App\Models\SearchTerms;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Family\Families;
use VividPull\Core\Planning\DriftAhead;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SourceKind;
use VividPull\Core\Spec\Torque;

final class MachineController
{
    private const MOST_FOUND = 12;

    public function index(Request $request): JsonResponse
    {
        $asked = $request->query('find');
        $find = is_string($asked) ? mb_substr(trim($asked), 0, 40) : '';
        $former = $find === '' ? [] : FormerTag::query()->where('tag', $find)->pluck('machine_id')->all();
        $ids = SearchTerms::bestFirst(Machine::query(), $find)
            ->where(static fn ($m) => $request->query('retired') === 'too' ? $m : $m->whereNull('retired_at'))
            ->when($find !== '', static fn (Builder $machines) => $machines->where(
                static fn (Builder $any) => $any
                    ->where(static fn (Builder $all) => SearchTerms::among($all, $find))
                    ->orWhereIn('id', $former),
            ))
            ->limit($find === '' ? 500 : self::MOST_FOUND)->pluck('id');
        $place = $ids->flip();
        $machines = Machine::query()
            ->whereIn('id', $ids)
            ->get()
            ->sortBy(static fn (Machine $one): int => $place[$one->id] ?? 0)
            ->toBase()
            ->map(static fn (Machine $one): array => $one->brief())
            ->values()
            ->all();

        return new JsonResponse(['machines' => $machines]);
    }

    public function show(string $tag): JsonResponse
    {
        $machine = Machines::find($tag);
        $controls = Control::query()
            ->with(['machine', 'specVersion', 'openJob'])
            ->where('machine_id', $machine->id)
            ->orderBy('id')
            ->get();
        $states = Today::openStates($controls);

        return new JsonResponse($machine->brief() + [
            'meter' => self::meter($machine),
            'etag' => Version::of(Machines::said($machine)),
            'former_tags' => $machine->formerTags()->orderByDesc('until')->pluck('tag')->all(),
            'retired_why' => $machine->retired_why,
            'stood_minutes' => JobResource::stood($machine->ran_until),
            'controls' => $controls
                ->map(
                    static fn (Control $control): array => ControlResource::of($control, $states[$control->id] ?? null)
                        + [
                            'spec' => self::spec($control),
                            'adjusters' => self::adjusters($control),
                            'history' => ($past = ControlPast::of($control))->rows(),
                            'story' => ControlStory::of($control, $past)->wire(),
                            'pulls' => $past->pulls(),
                        ],
                )
                ->all(),
            'intakes' => Intakes::open($machine),
            'complaints' => Complaints::waiting($machine),
        ]);
    }

    /** Every machine with how it stands; those that are retired apart. */
    public function yard(Request $request): JsonResponse
    {
        return new JsonResponse(['machines' => Yard::of($request->query('retired') === 'only')]);
    }

    /** All of its controls in one visit. */
    public function service(Request $request, string $tag): JsonResponse
    {
        return new JsonResponse(Service::of(
            Machines::find($tag),
            CarbonImmutable::now(),
            User::of($request)->person(),
        ));
    }

    /** @return array{face: int, replaced: bool, read_at: string|null, read_today: bool} */
    private static function meter(Machine $machine): array
    {
        $last = $machine->meterReadings()->latest('at')->first()?->at;

        return [
            'face' => $machine->usage_reading,
            'replaced' => $machine->usage_before !== 0,
            'read_at' => $last?->toIso8601String(),
            'read_today' => $last !== null && ShopClock::dayOf($last) === ShopClock::today(),
        ];
    }

    /** @return array<string, mixed> */
    private static function spec(Control $control): array
    {
        $spec = $control->spec();
        $source = $spec->source;

        return [
            'id' => $control->specVersion->id,
            'version' => $control->specVersion->version,
            'draft' => $control->specVersion->isDraft(),
            'common_practice' => $source->kind === SourceKind::CommonPractice,
            'printed' => $spec->book->printed,
            'interval' => $spec->book->interval?->say(),
            'torques' => array_map(
                static fn (Torque $one): array => ['what' => $one->what, 'nm' => $one->nm],
                $spec->book->torques,
            ),
            'document' => $source->document,
            'edition' => $source->edition,
            'page' => $source->page,
            'entered_by' => $source->enteredBy,
            'checked_by' => $source->checkedBy,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function adjusters(Control $control): array
    {
        $adjusters = [];
        $ahead = DriftAhead::usual(Families::of($control->spec()->family)->drift());
        foreach ($control->fitted()->adjusters() as $id => $adjuster) {
            $at = $control->summary->handedOn->positions[$id] ?? null;
            $adjusters[] = [
                'id' => $id,
                'name' => $adjuster->name(),
                'thread' => $adjuster instanceof ThreadedAdjuster ? $adjuster->pitch->name : null,
                'kind_label' => $adjuster->kind()->label(),
                'at_say' => $at === null ? null : $adjuster->where(Steps::exactly($at)),
                'room_say' => $at === null
                    ? null
                    : self::room($adjuster, Steps::exactly($at), $ahead->isOutwardFor($adjuster)),
            ];
        }

        return $adjusters;
    }

    /** What is left on the side to which the control drifts, where it will be needed. */
    private static function room(Adjuster $adjuster, Steps $at, bool $outward): string
    {
        $left = $outward ? $adjuster->travel()->to->minus($at) : $at->minus($adjuster->travel()->from);

        return $adjuster->room($left).' left '.($outward ? $adjuster->ways()->outward : $adjuster->ways()->inward);
    }
}
