<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\Machine;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\ClosingOutcome;

/**
 * Every machine with how each of its controls stands. What is asked of the database is as much for five thousand as for
 * five.
 */
final readonly class Yard
{
    /** @return list<array<string, mixed>> by tag; those that are retired, or all others */
    public static function of(bool $retired): array
    {
        $machines = Machine::query()
            ->when(
                $retired,
                static fn ($all) => $all->whereNotNull('retired_at'),
                static fn ($all) => $all->whereNull('retired_at'),
            )
            ->orderBy('tag')
            ->get()
            ->toBase();
        $controls = self::controls($machines);
        [$tagged, $failed] = self::foundInWork($controls);
        $stopped = $failed + Intakes::stopped() + Complaints::stopped();
        $today = ShopClock::today();
        $stands = static fn (stdClass $one): array => [
            'key' => $one->key,
            'name' => $one->name,
            'mark' => self::mark($one, isset($tagged[$one->id]), isset($stopped[$one->id]))->value,
        ];

        return array_values($machines->map(static function (Machine $machine) use ($controls, $stands, $today): array {
            /** @var Collection<int, stdClass> $its */
            $its = $controls->get($machine->id, collect());
            $dues = $its
                ->map(static fn (stdClass $one): ?string => self::dueOn($one, $machine, $today))
                ->filter()
                ->sort();

            return $machine->brief() + [
                'due_on' => $dues->first(),
                'is_due' => $dues->first() !== null && $dues->first() <= $today,
                'controls' => array_values($its->map($stands)->all()),
            ];
        })->all());
    }

    /**
     * @param  Collection<int, Machine>  $machines
     * @return Collection<int, Collection<int, stdClass>> by machine
     */
    private static function controls(Collection $machines): Collection
    {
        return DB::table('controls')->leftJoin('control_jobs', 'control_jobs.open_control_id', '=', 'controls.id')
            ->whereIn('controls.machine_id', $machines->pluck('id'))->orderBy('controls.id')
            ->selectRaw("controls.id, controls.machine_id, controls.key, controls.name, controls.is_tagged, controls.due_on, controls.due_usage, control_jobs.id as job,
                json_value(controls.summary, '$.outcome') as outcome, json_value(controls.summary, '$.record.left_faults[0]') as fault")
            ->get()->groupBy('machine_id');
    }

    /** By the day, or at once where its use is reached. */
    private static function dueOn(stdClass $control, Machine $machine, string $today): ?string
    {
        return $control->due_usage !== null && $machine->usage() >= $control->due_usage
            ? min($control->due_on ?? $today, $today)
            : $control->due_on;
    }

    /**
     * A tag that was hung in a job which is still open, and what it found or was told by which nobody runs the
     * machine, stand nowhere but in its log. Open jobs are few.
     *
     * @param  Collection<int, Collection<int, stdClass>>  $controls
     * @return array{array<int, true>, array<int, true>} controls that are tagged, and those that nobody runs
     */
    private static function foundInWork(Collection $controls): array
    {
        $open = Control::query()
            ->with('openJob')
            ->whereIn('id', $controls->flatten(1)->whereNotNull('job')->pluck('id'))
            ->get()
            ->toBase();

        $states = Today::openStates($open);
        $those = static fn (callable $holds): array => array_fill_keys(array_keys(array_filter($states, $holds)), true);

        return [
            $those(static fn (BenchState $state): bool => $state->facts->tag !== null),
            $those(static fn (BenchState $state): bool => $state->unfit() !== []),
        ];
    }

    private static function mark(stdClass $control, bool $isTagged, bool $isStopped): ControlMark
    {
        return match (true) {
            $isTagged, $control->job === null && (bool) $control->is_tagged => ControlMark::Tagged,
            $control->job !== null => $isStopped ? ControlMark::InWorkStopped : ControlMark::InWork,
            $isStopped => ControlMark::Reported,
            $control->outcome === null => ControlMark::Never,
            $control->fault !== null, $control->outcome === ClosingOutcome::ByChoice->value => ControlMark::LeftOpen,
            $control->outcome === ClosingOutcome::Checked->value => ControlMark::Checked,
            default => ControlMark::Fit,
        };
    }
}
