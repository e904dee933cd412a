<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\ControlJob;
use App\Models\Machine;
use Carbon\CarbonImmutable;
use LogicException;
use VividPull\Core\Day\MachineService;
use VividPull\Core\Day\Readiness;
use VividPull\Core\Day\ServiceStop;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Person;
use VividPull\Core\Wire\StandingCodec;

/** All controls of a machine in one visit: in which order, what to lay out before, and how far it is today. */
final readonly class Service
{
    /** @return array<string, mixed> */
    public static function of(Machine $machine, CarbonImmutable $now, Person $by): array
    {
        $controls = Control::query()
            ->with(['machine', 'specVersion', 'openJob'])
            ->where('machine_id', $machine->id)
            ->get()
            ->keyBy('key');
        $states = Today::openStates($controls->values()->toBase());
        $service = MachineService::of(array_values(
            $controls->map(static fn (Control $control): ServiceStop => self::stop($control, $now))->all(),
        ));
        $done = self::doneToday($machine);
        $rows = [];
        foreach ($service->stops as $place => $stop) {
            $control = $controls->get($stop->key) ?? throw new LogicException("{$stop->key} is no control of it.");
            $rows[] = [
                'control' => ControlResource::of($control, $states[$control->id] ?? null),
                'ready' => $stop->ready->value,
                'minutes' => (int) round($service->minutesAt($place)),
                'covers_shared' => $service->sharedBefore($place),
                'done' => $done[$control->id] ?? null,
            ];
        }

        return [
            'tag' => $machine->tag,
            'machine' => $machine->name,
            'minutes' => (int) round($service->minutes()),
            'stops' => $rows,
            'kit' => self::kit($service, $by),
        ];
    }

    private static function stop(Control $control, CarbonImmutable $now): ServiceStop
    {
        $spec = $control->spec();

        return new ServiceStop(
            $control->key,
            $control->name,
            Readiness::of($spec->conditions->engine, $control->machine->stood($now), false),
            $spec,
            $control->fitted(),
            (float) $control->minutes,
        );
    }

    /**
     * @return array<int, array{job: string, outcome: string|null}> by control, what was signed last since the day began
     */
    private static function doneToday(Machine $machine): array
    {
        $jobs = ControlJob::query()
            ->with('control')
            ->whereIn('control_id', Control::query()->where('machine_id', $machine->id)->select('id'))
            ->where('closed_at', '>=', ShopClock::now()->startOfDay()->utc())
            ->orderBy('closed_at')
            ->get();

        return $jobs
            ->mapWithKeys(static fn (ControlJob $job): array => [$job->control_id => [
                'job' => $job->id,
                'outcome' => $job->control->summary?->job === $job->id ? $job->control->summary->outcome->value : null,
            ]])
            ->all();
    }

    /** @return array<string, mixed> what is laid out before anything is begun */
    private static function kit(MachineService $service, Person $by): array
    {
        $standing = StandingCodec::decode(Node::of(Shelf::standing()));
        $named = static fn (array $of, string $value): array => array_map(
            static fn (string $name, mixed $one): array => ['what' => $name, $value => $one],
            array_keys($of),
            array_values($of),
        );

        return [
            'tools' => $named($service->tools(), 'for'),
            'instruments' => $named($service->instruments($standing, $by), 'for'),
            'consumables' => $named($service->consumables(), 'for'),
            'covers' => $named($service->covers(), 'minutes'),
            'torques' => $service->torques(),
            'figures' => $named($service->figures(), 'says'),
        ];
    }
}
