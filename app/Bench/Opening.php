<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Problems\Conflict;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\Instrument;
use App\Models\User;
use App\Models\Visit;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Errors\Refused;

/** Opens a job on a control: spec, run and everything from history are frozen with its first entry. */
final readonly class Opening
{
    /**
     * @throws Refused If the person may not log.
     * @throws Conflict If a job is open on the control already, or the id stands for another job.
     */
    public function open(Control $control, User $user, string $id, CarbonImmutable $now): ControlJob
    {
        if (! $user->role->mayLog()) {
            throw Refused::because("{$user->name} may look at jobs but not start one. Ask a technician.");
        }
        $same = ControlJob::query()->find($id);
        if ($same !== null) {
            return $same->control_id === $control->id ? $same : throw new Conflict('Another job stands under this id.');
        }
        try {
            return DB::transaction(fn (): ControlJob => $this->write($control, $user, $id, $now), 3);
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict("A job on the {$control->name} of {$control->machine->tag} is open already. Open it from the Bench and join it.", previous: $e);
        }
    }

    private function write(Control $control, User $user, string $id, CarbonImmutable $now): ControlJob
    {
        $control->machine()->lockForUpdate()->first();
        $visit = Visit::query()->where('machine_id', $control->machine_id)->whereNull('closed_at')->first()
            ?? Visit::query()->create(['id' => (string) Str::uuid7($now), 'machine_id' => $control->machine_id, 'opened_at' => $now]);
        $visit = Visit::query()->lockForUpdate()->findOrFail($visit->id);
        $job = ControlJob::query()->create([
            'id' => $id,
            'visit_id' => $visit->id,
            'control_id' => $control->id,
            'open_control_id' => $control->id,
            'spec_version_id' => $control->spec_version_id,
            'frame' => ['spec' => $control->specVersion->body, 'run' => $control->run],
            'usage_reading' => $control->machine->usage_reading,
            'opened_at' => $now,
        ]);
        $this->openingEntry($job, $control, $user, $now);

        return $job;
    }

    private function openingEntry(ControlJob $job, Control $control, User $user, CarbonImmutable $now): void
    {
        $body = ['control' => "{$control->machine->tag} {$control->name}", 'standing' => $this->standing($control)];
        $stamp = new Stamp((string) Str::uuid7($now), $now->toIso8601String(), $user->person());
        $seq = (int) EntryRow::query()->where('visit_id', $job->visit_id)->max('seq') + 1;
        EntryRow::write($job->visit_id, $seq, $job->id, EntryKind::Opened, $body, $stamp, $user->id, hash('sha256', (string) json_encode($body)), $now);
    }

    /** @return array<string, mixed> */
    private function standing(Control $control): array
    {
        $summary = $control->summary ?? [];

        return [
            'positions_steps' => $summary['positions_steps'] ?? [],
            'taught' => $summary['taught'] ?? [],
            'shelf' => Instrument::query()->orderBy('place')->get()->map(static fn (Instrument $i): array => ['id' => $i->id] + $i->body)->all(),
            'tag' => $summary['tag'] ?? null,
        ];
    }
}
