<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Today;
use App\Http\Resources\ControlResource;
use App\Http\Resources\JobResource;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\Machine;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\Node;
use VividPull\Core\Wire\RunCodec;

final class MachineController
{
    private const MOST_FOUND = 12;

    private const MOST_JOBS = 60;

    public function index(Request $request): JsonResponse
    {
        $asked = $request->query('find');
        $find = is_string($asked) ? mb_substr(trim($asked), 0, 40) : '';
        $like = '%'.addcslashes($find, '%_\\').'%';
        $machines = Machine::query()
            ->where(static fn ($m) => $m->where('tag', 'like', $like)->orWhere('plate', 'like', $like)->orWhere('name', 'like', $like)->orWhere('kind', 'like', $like))
            ->orderByRaw('tag = ? desc, tag', [$find])->limit($find === '' ? 500 : self::MOST_FOUND)->get();

        return new JsonResponse(['machines' => $machines->map(self::brief(...))->all()]);
    }

    public function show(string $tag): JsonResponse
    {
        $machine = Machine::query()->where('tag', $tag)->firstOrFail();
        $controls = Control::query()->with(['machine', 'specVersion', 'openJob'])->where('machine_id', $machine->id)->orderBy('id')->get();
        $states = Today::openStates($controls);

        return new JsonResponse(self::brief($machine) + [
            'stood_minutes' => JobResource::stood($machine->ran_until),
            'controls' => $controls->map(static fn (Control $control): array => ControlResource::of($control, $states[$control->id] ?? null) + [
                'spec' => self::spec($control),
                'adjusters' => self::adjusters($control),
                'history' => self::history($control),
            ])->all(),
        ]);
    }

    /** @return array<string, mixed> */
    private static function brief(Machine $machine): array
    {
        return [
            'tag' => $machine->tag,
            'plate' => $machine->plate,
            'name' => $machine->name,
            'kind' => $machine->kind,
            'year' => $machine->year,
            'place' => $machine->place,
            'usage' => $machine->usage_reading,
            'usage_unit' => $machine->usage_unit,
        ];
    }

    /** @return array<string, mixed> */
    private static function spec(Control $control): array
    {
        $source = $control->specVersion->body['source'];

        return [
            'version' => $control->specVersion->version,
            'document' => $source['document'],
            'edition' => $source['edition'] ?? null,
            'page' => $source['page'] ?? null,
            'entered_by' => $source['entered_by'] ?? null,
            'checked_by' => $source['checked_by'] ?? null,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function adjusters(Control $control): array
    {
        $adjusters = [];
        foreach (RunCodec::decode(Node::of($control->run))->adjusters() as $id => $adjuster) {
            $at = $control->summary['positions_steps'][$id] ?? $control->summary['positions_turns'][$id] ?? null;
            $adjusters[] = [
                'id' => $id,
                'name' => $adjuster->name(),
                'thread' => $adjuster instanceof ThreadedAdjuster ? $adjuster->pitch->name : null,
                'kind_label' => $adjuster->kind()->label(),
                'at_say' => $at === null ? null : $adjuster->where(Steps::exactly($at)),
                'room_say' => $at === null ? null : $adjuster->room($adjuster->travel()->to->minus(Steps::exactly($at))),
            ];
        }

        return $adjusters;
    }

    /** @return list<array<string, mixed>> newest first */
    private static function history(Control $control): array
    {
        $jobs = ControlJob::query()->where('control_id', $control->id)->orderByDesc('opened_at')->limit(self::MOST_JOBS)->get();
        $closings = EntryRow::query()->whereIn('job_id', $jobs->pluck('id'))->where('kind', EntryKind::Closed->value)->get()->keyBy('job_id');

        return array_values($jobs->map(static function (ControlJob $job) use ($closings): array {
            $closing = $closings->get($job->id);
            $record = $closing?->body['record'] ?? null;

            return [
                'job' => $job->id,
                'opened_at' => $job->opened_at->toIso8601String(),
                'closed_at' => $closing?->at,
                'by' => $closing?->by['name'],
                'usage' => $job->usage_reading,
                'outcome' => $closing?->body['outcome'],
                'next_check' => $closing?->body['next_check'] ?? null,
                'found_mm' => $record['found']['mm'] ?? null,
                'left_mm' => $record['left']['mm'] ?? null,
                'left_expanded_mm' => $record['left']['expanded_mm'] ?? null,
                'left_verdict' => $record['left']['verdict'] ?? null,
                'spec' => $record['spec'] ?? null,
                'source' => $record['source'] ?? null,
                'reason' => $record['by_choice'] ?? $record['tag'] ?? null,
            ];
        })->all());
    }
}
