<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\ControlJob;
use App\Models\Machine;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\OtherControl;
use VividPull\Core\Bench\RunsTheMachine;
use VividPull\Core\Bench\SafeAgain;
use VividPull\Core\Day\LeftOpen;
use VividPull\Core\Facts\Refit;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Procedure\ToldSymptom;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\WrongState;

/**
 * The other controls of a machine, where they say something against running it: it is one machine, whatever is tried of
 * it.
 */
final readonly class RestOfMachine
{
    /** Kinds of entries that may tell of a run. */
    public const TRIED = [EntryKind::Check->value, EntryKind::Outcome->value, EntryKind::Measure->value];

    /** @param  string|null  $job  the open job on it */
    private function __construct(public OtherControl $control, public ?string $job) {}

    /**
     * @param  Collection<int, StoredEntry>  $rows  of the whole visit
     * @return list<self>
     */
    public static function of(JobHead $job, Collection $rows): array
    {
        $machine = DB::table('control_jobs')
            ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
            ->where('control_jobs.id', $job->id)
            ->select('controls.machine_id');
        $others = [];
        foreach (Control::query()->whereIn('machine_id', $machine)->where(
            'key',
            '!=',
            $job->controlKey,
        )->orderBy('id')->get() as $control) {
            $open = ControlJob::query()->where('open_control_id', $control->id)->first();
            $state = $open === null ? null : JobLog::fromVisit($open->id, $open->frame, $rows)->replay();
            $others[] = new self(self::said($control, $state), $open?->id);
        }

        return array_values(array_filter($others, static fn (self $one): bool => $one->control->isAgainst()));
    }

    /** @param  bool  $isReported  whether what is reported of it is said as well */
    private static function said(Control $control, ?BenchState $state, bool $isReported = true): OtherControl
    {
        return new OtherControl(
            lcfirst($control->name),
            $state === null ? [] : Refit::of($state->spec, $state->run, $state->facts)->coversThatMustBeOn(),
            $state === null ? $control->summary->tag['reason'] ?? null : $state->facts->tag?->reason,
            $state === null
                ? []
                : array_map(static fn (GateState $gate): string => $gate->sentence, $state->judgement->stopsRunning()),
            $isReported ? self::reported($control, $state) : [],
            $state === null ? [] : RunsTheMachine::leftUntried($state),
        );
    }

    /** @return list<string> what stops the machine by what was said of a control, looked into, taken up or not yet */
    private static function reported(Control $control, ?BenchState $open): array
    {
        $told = array_map(
            static fn (ToldSymptom $one): string => $one->symptom->words(),
            $open === null ? [] : $open->facts->dangersTold($open->spec),
        );

        return array_values(array_unique([
            ...Complaints::stopping($control),
            ...Intakes::stopping($control),
            ...$told,
        ]));
    }

    /**
     * What stands against running a machine, whatever for; of all its controls.
     *
     * @param  string|null  $except  the key of one that is left out
     * @param  string|null  $askedOf  the key of one of which everybody knows what is reported
     * @return list<string> a sentence each
     */
    public static function againstRunning(Machine $machine, ?string $except = null, ?string $askedOf = null): array
    {
        $said = [];
        foreach (Control::query()->with('openJob')->where('machine_id', $machine->id)->when(
            $except !== null,
            static fn (Builder $query): Builder => $query->where('key', '!=', $except),
        )->orderBy('id')->get() as $control) {
            $open = $control->openJob;
            $said = [
                ...$said,
                ...self::said(
                    $control,
                    $open === null ? null : JobLog::of(JobHead::find($open->id))->replay(),
                    $control->key !== $askedOf,
                )->against(),
            ];
        }

        return $said;
    }

    /**
     * The control that the machine was run for, in another job of the visit, since somebody last said how hot it is;
     * null where it was not.
     *
     * @param  Collection<int, StoredEntry>  $rows  of the whole visit
     */
    public static function ranFor(JobHead $job, Collection $rows): ?string
    {
        $jobs = [];
        foreach ($rows as $row) {
            if ($row->kind === EntryKind::Condition->value && isset($row->wire()['body']['engine'])) {
                $jobs = [];
            } elseif ($row->job !== null && $row->job !== $job->id && in_array($row->kind, self::TRIED, true)) {
                $jobs[$row->job] = true;
            }
        }
        // Only what was tried since is looked at: mostly nothing.
        foreach ($jobs === [] ? [] : ControlJob::query()->with('control')->whereIn(
            'id',
            array_keys($jobs),
        )->orderBy('opened_at')->get() as $other) {
            if (JobLog::fromVisit($other->id, $other->frame, $rows)->replay()->facts->readings->ranSince) {
                return lcfirst($other->control->name);
            }
        }

        return null;
    }

    /**
     * The control that the machine was run for, in another job of the visit, since a hand was last at it for this one;
     * null where it was not.
     *
     * @param  Collection<int, StoredEntry>  $rows  of the whole visit
     */
    public static function ranSinceHand(JobHead $job, Collection $rows): ?string
    {
        $tried = [];
        foreach ($rows as $row) {
            if ($row->job === $job->id && SafeAgain::isByHand(EntryKind::from($row->kind))) {
                $tried = [];
            } elseif ($row->job !== null && $row->job !== $job->id && in_array($row->kind, self::TRIED, true)) {
                $tried[$row->job][$row->id] = true;
            }
        }
        foreach ($tried === [] ? [] : ControlJob::query()->with('control')->whereIn(
            'id',
            array_keys($tried),
        )->orderBy('opened_at')->get() as $other) {
            $state = JobLog::fromVisit($other->id, $other->frame, $rows)->replay();
            foreach ($state->log->effective() as $entry) {
                if (isset($tried[$other->id][$entry->stamp->id]) && RunsTheMachine::entry($state, $entry)) {
                    return lcfirst($other->control->name);
                }
            }
        }

        return null;
    }

    /**
     * Why it has to be said again how hot it is, before play is read; null where nothing speaks for that.
     *
     * @param  Collection<int, StoredEntry>  $rows  of the whole visit
     * @param  string  $at  when it is read, RFC 3339
     */
    public static function heatAgain(JobHead $job, BenchState $state, Collection $rows, string $at): ?string
    {
        if (! $state->spec->heatMatters()) {
            return null;
        }
        $ran = self::ranFor($job, $rows);

        return $ran === null ? LeftOpen::cooled($state, $at) : WrongState::ranFor($ran);
    }

    /**
     * What stands against what a job asks for next, and the job where that is put right: where it runs the machine, and
     * where it is signed, for who reads *fit for use* takes the machine and not the control.
     *
     * @return list<array{sentence: string, job: string|null}>
     */
    public static function against(JobHead $job, BenchState $state): array
    {
        $said = [];
        $isSigned = $state->facts->closed === null && $state->progress->asks()?->kind === ItemKind::SignOff;
        foreach ($isSigned || RunsTheMachine::asked($state) ? self::of(
            $job,
            StoredEntry::ofVisit($job->visit),
        ) : [] as $one) {
            foreach ($isSigned ? $one->control->against() : $one->control->whenRun() as $sentence) {
                $said[] = ['sentence' => $sentence, 'job' => $one->job];
            }
        }

        return $said;
    }
}
