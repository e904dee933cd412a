<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\ControlJob;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Part;
use VividPull\Core\Day\Cooling;
use VividPull\Core\Day\DayPlan;
use VividPull\Core\Day\Planned;
use VividPull\Core\Day\Readiness;
use VividPull\Core\Day\Waiting;
use VividPull\Core\Judging\PackState;
use VividPull\Core\Log\Entry\PartFitted;

/** The day on the bench: what waits, what is cooling, what wants running first, what must not run, what falls due. */
final readonly class Today
{
    private const SOON_DAYS = 30;

    private const MOST_DUE = 8;

    private function __construct(private CarbonImmutable $now) {}

    /** @return array<string, mixed> */
    public static function at(CarbonImmutable $now): array
    {
        return (new self($now))->whole();
    }

    /** @return array<string, mixed> */
    private function whole(): array
    {
        $controls = $this->controls();
        $states = self::openStates($controls);
        $rows = $controls
            ->map(fn (Control $control): array => $this->row($control, $states[$control->id] ?? null))
            ->values();
        $present = Presence::on($this->now);
        $queue = $this->ordered($rows->where('waits', true)->values(), $present);

        return [
            'day' => $this->now->format('l'),
            'date' => $this->now->toDateString(),
            'minutes' => (int) round(array_sum(array_column($queue, 'minutes'))),
            'present' => $present,
            'queue' => $queue,
            'done' => DoneToday::on($this->now),
            'intakes' => Intakes::open(),
            'complaints' => Complaints::waiting(),
            'carry_on' => collect($queue)
                ->filter(static fn (array $row): bool => $row['control']['job'] !== null)
                ->sortByDesc('control.at')
                ->first(),
            'stopped' => $rows
                ->filter(static fn (array $row): bool => $row['control']['tag'] !== null || $row['control']['unfit'] !== [])
                ->values()
                ->all(),
            'due' => $rows
                ->filter(fn (array $row): bool => $this->isDueSoon($row))
                ->sortBy('control.due_on')
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed> */
    private function row(Control $control, ?BenchState $open): array
    {
        return [
            'tag' => $control->machine->tag,
            'machine' => $control->machine->name,
            'ready' => $this->readiness($control, $open)->value,
            'soaked_at' => $this->soakedAt($open)?->toIso8601String(),
            'cold_at' => $this->coldAt($control)?->toIso8601String(),
            'cooled_share' => $this->cooledShare($control),
            'waits' => $control->openJob !== null
                || ($control->planned_on !== null && $control->planned_on->lte($this->now)),
            'spent' => $open === null ? null : (int) round(DoneToday::spent($open)),
            'minutes' => $control->minutes,
            'covers_shared' => [],
            'person' => null,
        ] + ['control' => ControlResource::of($control, $open)];
    }

    /**
     * The day in the core's order, with what each takes and whose hours hold it.
     *
     * @param  Collection<int, array<string, mixed>>  $rows
     * @param  list<array{login: string, name: string, minutes: int}>  $present
     * @return list<array<string, mixed>>
     */
    private function ordered(Collection $rows, array $present): array
    {
        $waiting = array_values($rows->map(static fn (array $row, int $n): Waiting => new Waiting(
            (string) $n, $row['tag'], Readiness::from($row['ready']), $row['control']['due_on'],
            (array) $row['control']['covers'], (float) $row['minutes'], $row['control']['job'] !== null,
        ))->all());

        return array_map(static function (Planned $one) use ($rows): array {
            $row = $rows->get((int) $one->waiting->key) ?? [];

            return [
                'minutes' => (int) round($one->minutes),
                'covers_shared' => $one->coversShared,
                'person' => $one->person,
            ]
                + $row;
        }, DayPlan::of(
            $waiting,
            array_map(static fn (int $minutes): float => (float) $minutes, array_column($present, 'minutes', 'name')),
        )->jobs);
    }

    /**
     * @return Collection<int, Control> what waits, what is in work, what must not run, and the first few that fall due
     */
    private function controls(): Collection
    {
        $today = $this->now->toDateString();
        // Each of these is one look at an index; all in one condition would be a look at every control.
        $ids = collect([
            ControlJob::query()->whereNotNull('open_control_id')->pluck('open_control_id'),
            Control::query()->where('planned_on', '<=', $today)->pluck('id'),
            Control::query()->where('is_tagged', true)->pluck('id'),
            Control::query()
                ->where('due_on', '<=', $this->now->addDays(self::SOON_DAYS)->toDateString())
                ->where('is_tagged', false)
                ->where(
                    static fn ($unplanned) => $unplanned->whereNull('planned_on')->orWhere('planned_on', '>', $today),
                )
                ->whereDoesntHave('openJob')->whereHas(
                    'machine',
                    static fn ($machines) => $machines->whereNull('retired_at'),
                )
                ->orderBy('due_on')->orderBy('id')->limit(self::MOST_DUE)->pluck('id'),
        ])->flatten()->unique();

        return Control::query()->with(['machine', 'specVersion', 'openJob'])->whereIn('controls.id', $ids)
            ->join('machines', 'machines.id', '=', 'controls.machine_id')->whereNull('machines.retired_at')
            ->orderBy('planned_on')->orderBy('machines.tag')
            ->select('controls.*')->get();
    }

    /**
     * @param  Collection<int, Control>  $controls
     * @return array<int, BenchState> by control
     */
    public static function openStates(Collection $controls): array
    {
        $jobs = $controls->pluck('openJob')->filter();
        $rows = StoredEntry::ofVisits(array_values($jobs->pluck('visit_id')->unique()->all()))->groupBy('visit');
        $states = [];
        foreach ($jobs as $job) {
            $states[$job->control_id] = JobLog::fromVisit($job->id, $job->frame, $rows[$job->visit_id])->replay();
        }

        return $states;
    }

    private function readiness(Control $control, ?BenchState $open): Readiness
    {
        return Readiness::of($control->spec()->conditions->engine, $this->stood($control), $this->isSoaking($open));
    }

    /** When the new plates of an open job have soaked long enough; null where none lie in oil, or they went in. */
    private function soakedAt(?BenchState $open): ?CarbonImmutable
    {
        $since = $open?->facts->observations->soaking;
        $fitted = array_filter(
            $open->facts->answers->parts ?? [],
            static fn (PartFitted $one): bool => $one->part === Part::Plates,
        );

        return $since === null || $fitted !== []
            ? null
            : CarbonImmutable::parse($since)->addHours(PackState::LEAST_SOAK_H);
    }

    private function isSoaking(?BenchState $open): bool
    {
        return $this->soakedAt($open)?->gt($this->now) === true;
    }

    private function coldAt(Control $control): ?CarbonImmutable
    {
        return $control->machine->ran_until?->addMinutes(Cooling::COLD_AFTER_MINUTES);
    }

    /** Minutes since the engine ran. */
    private function stood(Control $control): ?float
    {
        return $control->machine->stood($this->now);
    }

    private function cooledShare(Control $control): ?float
    {
        $stood = $this->stood($control);

        return $stood === null ? null : Cooling::share($stood);
    }

    /** @param  array<string, mixed>  $row */
    private function isDueSoon(array $row): bool
    {
        return $row['waits'] === false && $row['control']['tag'] === null && $row['control']['due_on'] !== null
            && $row['control']['due_on'] <= $this->now->addDays(self::SOON_DAYS)->toDateString();
    }
}
