<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Bench\Complaints;
use App\Bench\ImportedRecord;
use App\Bench\JobHead;
use App\Bench\RestOfMachine;
use App\Bench\StoredEntry;
use App\Models\ControlJob;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\SafeAgain;
use VividPull\Core\Day\LeftOpen;
use VividPull\Core\Input\Node;
use VividPull\Core\Progress\WrongState;
use VividPull\Core\Wire\SpecCodec;
use VividPull\Core\Wire\StateCodec;

/** A job as its screen needs it: what it is on, and the whole bench state. */
final readonly class JobResource
{
    /** @return array<string, mixed> */
    public static function of(JobHead $job, BenchState $state): array
    {
        $signed = ImportedRecord::of($job->id, $state);

        return [
            'id' => $job->id,
            'visit' => $job->visit,
            'opened_at' => $job->openedAt->toIso8601String(),
            'corrects' => $job->corrects,
            'people' => self::people($state),
            'machine' => [
                'tag' => $job->tag,
                'name' => $job->machine,
                'usage' => $job->usage,
                'usage_unit' => $job->usageUnit,
                'stood_minutes' => self::stood($job->ranUntil),
            ],
            'control' => ['key' => $job->controlKey, 'name' => $job->controlName] + self::due($job, $state),
            'from_file' => $signed !== null,
            // Asked for when the work is done, and not with every reading.
            'complaint' => $state->facts->closed === null ? null : Complaints::openOf($job->tag, $job->controlKey),
            'heat_again' => self::heatAgain($job, $state),
            'spec_changed' => self::specChanged($job, $state),
            'waits' => $state->progress->waits,
            'safe_again' => self::safeAgain($job, $state),
            'lies' => LeftOpen::lies($state, CarbonImmutable::now()->toIso8601String()),
            'do_not_run' => RestOfMachine::against($job, $state),
            'state' => array_filter(
                ['found' => $signed['found'] ?? null, 'now' => $signed['left'] ?? null],
                is_array(...),
            )
                + StateCodec::encode($state),
        ];
    }

    /** A job keeps the figures it began with; that the book has others by now is said until it is closed. */
    private static function specChanged(JobHead $job, BenchState $state): ?string
    {
        if (! $job->meanwhile->isSpecChanged || $state->facts->closed !== null) {
            return null;
        }
        $now = ControlJob::query()->with('control.specVersion')->findOrFail($job->id)->control->specVersion->body;

        return LeftOpen::otherSpec($state->spec, SpecCodec::decode(Node::of($now)));
    }

    /** After it ran, here or for another control of the visit. */
    private static function safeAgain(JobHead $job, BenchState $state): ?string
    {
        $ran = ! $job->meanwhile->isTriedElsewhere || ! SafeAgain::isHandNext($state)
            ? null
            : RestOfMachine::ranSinceHand($job, StoredEntry::ofVisit($job->visit));

        return SafeAgain::said($state) ?? ($ran === null ? null : SafeAgain::ranFor($ran, $state));
    }

    /** Where play is what is asked for. */
    private static function heatAgain(JobHead $job, BenchState $state): ?string
    {
        $asks = $state->facts->closed === null
            && $state->spec->heatMatters()
            && WrongState::isToBeRead($state->progress);

        if (! $asks) {
            return null;
        }
        // With every reading this is answered: the log is read once more only where another job tried something.
        $rows = $job->meanwhile->isTriedElsewhere ? StoredEntry::ofVisit($job->visit) : new Collection;

        return RestOfMachine::heatAgain($job, $state, $rows, CarbonImmutable::now()->toIso8601String());
    }

    /**
     * @return array{due_on: string|null, due_why: string|null} of the job that its control stands by, when it falls due
     *     next
     */
    private static function due(JobHead $job, BenchState $state): array
    {
        $control = $state->facts->closed === null
            ? null
            : ControlJob::query()->with('control')->findOrFail($job->id)->control;
        $control = $control?->summary?->job === $job->id ? $control : null;

        return ['due_on' => $control?->due_on?->toDateString(), 'due_why' => $control?->due_why];
    }

    /**
     * Who is on this job, whoever wrote last first.
     *
     * @return list<array{name: string, role: string, at: string}>
     */
    private static function people(BenchState $state): array
    {
        $people = [];
        foreach (array_reverse($state->log->entries) as $entry) {
            $people[$entry->stamp->by->id] ??= [
                'name' => $entry->stamp->by->name,
                'role' => $entry->stamp->by->role->value,
                'at' => $entry->stamp->at,
            ];
        }

        return array_values($people);
    }

    /** Minutes since the engine last ran, or null where nobody noted it. */
    public static function stood(?CarbonImmutable $ranUntil): ?int
    {
        return $ranUntil === null ? null : max(0, (int) $ranUntil->diffInMinutes(CarbonImmutable::now()));
    }
}
