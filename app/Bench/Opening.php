<?php

declare(strict_types=1);

namespace App\Bench;

use App\Chain\Link;
use App\Models\Audit;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\User;
use App\Models\Visit;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use VividPull\Core\Cable\Part;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\ControlDrift;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Wire\SignedRecord;
use VividPull\Core\Wire\StandingCodec;

/** Opens a job on a control: spec, run and everything from history are frozen with its first entry. */
final readonly class Opening
{
    private const VISITS_OF_DRIFT = 6;

    /**
     * @param  bool  $isCheck  whether only its play is to be read, as long as nothing is wrong
     *
     * @throws Refused If the person may not log, or there is no play to check.
     * @throws Conflict If a job is open on the control already, or the id stands for another job.
     */
    public function open(
        Control $control,
        User $user,
        string $id,
        CarbonImmutable $now,
        ?ControlJob $corrects = null,
        string $why = '',
        bool $isCheck = false,
    ): ControlJob {
        if (! $user->acting()->mayLog()) {
            throw Refused::because("{$user->name} may look at jobs but not start one. Ask a technician.");
        }
        $same = ControlJob::query()->find($id);
        if ($same !== null) {
            return $same->control_id === $control->id ? $same : throw new Conflict('Another job stands under this id.');
        }
        if ($control->machine->retired_at !== null) {
            throw new Conflict(
                "{$control->machine->tag} is retired: {$control->machine->retired_why}. A lead brings it back first.",
            );
        }
        $refused = $isCheck ? self::checkRefused($control) : null;
        if ($refused !== null) {
            throw $refused;
        }
        try {
            // What history hands to it is kept, and so said in millimetres.
            return Spoken::kept(fn (): ControlJob => DB::transaction(
                fn (): ControlJob => $this->write($control, $user, $id, $now, $corrects, $why, $isCheck),
                3,
            ));
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict(
                "A job on the {$control->name} of {$control->machine->tag} is open already. Open it from the Bench and join it.",
                previous: $e,
            );
        }
    }

    /** Why a look at its play does not answer what is asked of a control; null where it does. */
    public static function checkRefused(Control $control): Refused|Conflict|null
    {
        if ($control->spec()->aim === null) {
            return Refused::because(
                "No play is read on the {$control->name} of {$control->machine->tag}, so there is nothing to check in a moment. Start a job.",
            );
        }
        $reported = Intakes::words($control);

        return match (true) {
            $reported !== null => new Conflict(
                "Reported of it: “{$reported}” A check does not answer that. Start a job.",
            ),
            Complaints::symptoms($control) !== [] => new Conflict(
                'Its cause is being looked for. A check does not answer that. Start a job.',
            ),
            default => null,
        };
    }

    private function write(
        Control $control,
        User $user,
        string $id,
        CarbonImmutable $now,
        ?ControlJob $corrects,
        string $why,
        bool $isCheck,
    ): ControlJob {
        $control->machine()->lockForUpdate()->first();
        $visit = self::visit($control->machine_id, $now);
        $job = ControlJob::query()->create([
            'id' => $id,
            'visit_id' => $visit->id,
            'control_id' => $control->id,
            'open_control_id' => $control->id,
            'spec_version_id' => $control->spec_version_id,
            'corrects' => $corrects?->id,
            'frame' => ['spec' => $control->specVersion->body, 'run' => $control->run],
            'usage_reading' => $control->machine->usage(),
            'opened_at' => $now,
        ]);
        $named = "{$control->machine->tag} {$control->name}";
        $this->entry($job, $user, Opened::draft($named, $this->standing($control), $isCheck), $now);
        if ($corrects !== null) {
            $said = "Corrects the job closed {$corrects->closed_at?->toDateString()}: {$why}";
            $this->entry($job, $user, Noted::draft($said), $now);
            $about = ['job' => $job->id, 'corrects' => $corrects->id, 'why' => $why];
            Audit::note($user, 'job corrected', $named, $about);
        }
        foreach ([...Intakes::takeUp($control, $job->id, $user, $now), ...Complaints::said($control)] as $said) {
            $this->entry($job, $user, $said, $now);
        }

        return $job;
    }

    /** The visit that is open on this machine, or a new one; held until this is written. */
    private static function visit(int $machine, CarbonImmutable $now): Visit
    {
        $visit = Visit::query()->where('machine_id', $machine)->whereNull('closed_at')->first()
            ?? Visit::query()->create([
                'id' => (string) Str::uuid7($now),
                'machine_id' => $machine,
                'opened_at' => $now,
            ]);

        return Visit::query()->lockForUpdate()->findOrFail($visit->id);
    }

    private function entry(ControlJob $job, User $user, Draft $draft, CarbonImmutable $now): void
    {
        $stamp = new Stamp((string) Str::uuid7($now), $now->toIso8601String(), $user->person());
        EntryRow::write(
            Link::next($job->visit_id),
            $job->id,
            $draft,
            $stamp,
            $user->id,
            hash('sha256', (string) json_encode($draft->body)),
            $now,
        );
    }

    /** @return array<string, mixed> */
    private function standing(Control $control): array
    {
        $summary = $control->summary;
        $past = ControlPast::of($control);

        return [
            'positions_steps' => $summary->handedOn->positions ?? [],
            'taught' => Siblings::taught($control),
            ...Shelf::standing(),
            'tag' => $summary?->tag,
            'left' => ($left = $summary?->leftOpen()) === null ? null : StandingCodec::encodeLeft($left),
            'creep' => $summary?->creep(),
            'again' => $past->again(),
            'cured' => $past->cured(),
            'wish' => $summary?->wish(),
            'symptoms' => array_values(array_unique([
                ...Complaints::symptoms($control),
                ...Intakes::symptoms($control),
            ])),
            'drift' => $this->drift($control),
            'usage' => $control->machine->usage(),
            'usage_unit' => $control->machine->usage_unit,
            'pack' => $this->inspections($control),
        ];
    }

    /** @return array{conduit_mm: float, intervals: int}|null from what the last visits found and left */
    private function drift(Control $control): ?array
    {
        $jobs = ControlJob::query()
            ->where('control_id', $control->id)
            ->whereNotNull('closed_at')
            ->orderByDesc('closed_at')
            ->limit(self::VISITS_OF_DRIFT)
            ->pluck('id');
        $records = EntryRow::query()
            ->whereIn('job_id', $jobs)
            ->where('kind', EntryKind::Closed->value)
            ->orderBy('at_utc')
            ->get()
            ->map(static fn (EntryRow $row): ?SignedRecord => $row->signed());
        $point = $control->spec()->aim?->point;
        if ($point === null) {
            return null;
        }
        $visits = array_values(
            $records
                ->filter(static fn (?SignedRecord $record): bool => $record?->point() === $point)
                ->map(static fn (?SignedRecord $record): array => [
                    'found' => $record?->found()?->mm,
                    'left' => $record?->left()?->mm,
                    'parts' => $record?->parts() ?? [],
                ])
                ->all(),
        );
        $drift = ControlDrift::over($visits, ControlStory::ratio($control, $point));

        return $drift === null ? null : ['conduit_mm' => $drift->conduitMm, 'intervals' => $drift->intervals];
    }

    /**
     * Earlier inspections of the pack, since its plates were last new.
     *
     * @return list<array{usage: int, weakest_mm: array<string, float>}>
     */
    private function inspections(Control $control): array
    {
        $usages = ControlJob::query()
            ->where('control_id', $control->id)
            ->whereNotNull('closed_at')
            ->pluck('usage_reading', 'id');
        $inspections = [];
        foreach (EntryRow::query()->whereIn('job_id', $usages->keys())->where(
            'kind',
            EntryKind::Closed->value,
        )->orderBy('at_utc')->get() as $row) {
            $record = $row->signed();
            $weakest = $record?->weakest() ?? [];
            $inspections = $record?->hasFitted(Part::Plates) === true ? [] : $inspections;
            if ($weakest !== []) {
                $inspections[] = ['usage' => (int) $usages[$row->job_id], 'weakest_mm' => $weakest];
            }
        }

        return array_slice($inspections, -self::VISITS_OF_DRIFT);
    }
}
