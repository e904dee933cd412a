<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\EntryRow;
use App\Models\Trace;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Part;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Spec\PullFigure;
use VividPull\Core\Trace\PullTrace;
use VividPull\Core\Trace\Thinned;
use VividPull\Core\Trace\TraceChange;
use VividPull\Core\Trace\TraceFindings;
use VividPull\Core\Trace\TraceReading;
use VividPull\Core\Trace\WorkingEnd;
use VividPull\Core\Wire\TraceCodec;
use VividPull\Core\Wire\TraceFile;

/** Pulls as curves: taken in whole or not at all, kept as measured, and read anew whenever somebody looks. */
final readonly class Traces
{
    private const MOST_BYTES = 12 * 1024 * 1024;

    /** Earlier curves of the control that are drawn behind this one. */
    private const BEHIND = 3;

    private function __construct(private JobHead $job, private BenchState $state, private WorkingEnd $end) {}

    /** @throws Refused If a curve tells nothing of this control. */
    public static function of(JobHead $job, BenchState $state): self
    {
        $end = Families::of($state->spec->family)->workingEnd()
            ?? throw Refused::because('A curve of the pull tells nothing of this control.');

        return new self($job, $state, $end);
    }

    /**
     * @throws Refused If a line of it cannot be taken; each is named.
     * @throws Conflict If another trace stands under its id.
     */
    public static function keep(JobHead $job, User $user, string $id, string $text, CarbonImmutable $now): void
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw Refused::because('That file is larger than 12 MB. Take fewer points a second.');
        }
        $digest = hash('sha256', $text);
        $same = Trace::query()->find($id, ['id', 'job_id', 'digest']);
        if ($same !== null) {
            if ($same->job_id !== $job->id || $same->digest !== $digest) {
                throw new Conflict('Another curve stands under this id. Nothing was changed.');
            }

            return;
        }
        $read = TraceFile::read($text);
        if ($read->trace === null) {
            throw count($read->problems) === 1
                ? Refused::because($read->problems[0])
                : Refused::missing('Nothing of it was kept.', $read->problems);
        }
        try {
            Trace::query()->create([
                'id' => $id,
                'job_id' => $job->id,
                'user_id' => $user->id,
                'points' => $read->points,
                'digest' => $digest,
                'sum' => hash('sha256', $read->kept),
                'csv' => $read->kept,
                'taken_in_at' => $now->utc()->format('Y-m-d H:i:s.v'),
            ]);
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict('Another curve stands under this id. Nothing was changed.', previous: $e);
        }
    }

    /**
     * The curve, what it tells, and the body of the entry that keeps it.
     *
     * @param  Node  $how  where and with what it was measured
     * @return array<string, mixed>
     */
    public function read(string $id, Node $how): array
    {
        $trace = Trace::query()->where('job_id', $this->job->id)->findOrFail($id);
        $body = ['trace' => $id, 'points' => $trace->points, ...TraceCodec::how($how)];
        $read = $this->reading(TraceFile::kept($trace->csv, $body['reach_mm'] ?? null), $body);
        $told = TraceCodec::summary($read->summary());
        $kept = $this->kept($id);

        return [
            ...TraceCodec::reading(
                $read,
                $this->end,
                TraceFindings::of(
                    $read,
                    $this->end,
                    $this->fresh($body['at_mm'] ?? null),
                    $this->isReadAt($body['point']) ? $this->state->spec->aim?->say() : null,
                ),
            ),
            'body' => $body + ['told' => $told],
            'line' => $this->line($read, $body['point']),
            'kept' => $kept !== null,
            'kept_at' => $kept?->stamp->at,
            'earlier' => $this->earlier($id, $body + ['told' => $told]),
        ];
    }

    /**
     * What the entry says of its curve is what the curve tells.
     *
     * @throws Refused If the curve did not arrive, or tells something else.
     */
    public static function mustHold(JobHead $job, BenchState $state, TraceTaken $taken): void
    {
        $traces = self::of($job, $state);
        $body = TraceCodec::body($taken);
        $trace = Trace::query()->where('job_id', $job->id)->find($taken->trace);
        if ($trace === null) {
            throw Refused::because('The curve did not arrive. Send it again.');
        }
        $told = TraceCodec::summary($traces->reading(TraceFile::kept($trace->csv, $taken->reachMm), $body)->summary());
        if ($trace->points !== $taken->points || json_encode($told) !== json_encode($body['told'])) {
            throw Refused::because('That is not what the curve tells. Look at it again, then keep it.');
        }
    }

    /** @return array<string, mixed> how a trace that stands in the log was measured */
    public function howKept(string $id): array
    {
        $kept = $this->kept($id) ?? throw (new ModelNotFoundException)->setModel(Trace::class);

        return array_intersect_key(
            TraceCodec::body($kept),
            ['point' => 0, 'instrument' => 0, 'at_mm' => 0, 'reach_mm' => 0, 'to_stop' => 0],
        );
    }

    /** @param  array<string, mixed>  $how */
    private function reading(PullTrace $trace, array $how): TraceReading
    {
        $instrument = isset($how['instrument'])
            ? $this->state->facts->standing->instrument((string) $how['instrument'])
            : null;
        if (isset($how['instrument']) && $instrument === null) {
            throw Refused::because('The travel was measured with something that is not on the shelf of this job.');
        }

        return TraceReading::of(
            $trace,
            $this->end,
            $this->fresh($how['at_mm'] ?? null)?->pull,
            $instrument->resolution ?? 0.0,
            (bool) $how['to_stop'],
        );
    }

    /** What a new cable took, where the gauge was. */
    private function fresh(float|int|null $atMm): ?LeverPull
    {
        $figure = $this->state->spec->other(PullFigure::class);
        if ($figure === null || $atMm === null) {
            return null;
        }
        $there = static fn (float $force): float => LeverPull::converted($force, $figure->atMm, (float) $atMm);

        return LeverPull::of($there($figure->fresh->pull), $there($figure->fresh->release));
    }

    /** The line that takes the play as a reading; null where there is none to take, or the job reads elsewhere. */
    private function line(TraceReading $read, string $point): ?string
    {
        return $read->play() === null || ! $this->isReadAt($point)
            ? null
            : sprintf('%.2F ± %.2F mm', $read->play(), max(0.01, (float) $read->expanded()));
    }

    private function isReadAt(string $point): bool
    {
        return $this->state->spec->aim?->point->value === $point;
    }

    private function kept(string $id): ?TraceTaken
    {
        foreach ($this->state->facts->observations->traces as $seen) {
            if ($seen->entry->trace === $id) {
                return $seen->entry;
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $body
     * @return list<array<string, mixed>> newest first
     */
    private function earlier(string $id, array $body): array
    {
        $earlier = [];
        $hasNew = false;
        foreach ($this->before($id) as [$job, $at, $before, $isNew]) {
            // The last few, and the last one of a new cable however long ago that was.
            if (count($earlier) >= self::BEHIND && ($hasNew || ! $isNew)) {
                continue;
            }
            $isAlike = $before['point'] === $body['point']
                && abs(($before['at_mm'] ?? 0.0) - ($body['at_mm'] ?? 0.0)) < 1e-6;
            $trace = Trace::query()->where('job_id', $job)->find((string) $before['trace']);
            if ($trace === null || ! $isAlike) {
                continue;
            }
            $points = TraceFile::kept($trace->csv, $before['reach_mm'] ?? null);
            $earlier[] = [
                'job' => $job, 'trace' => $trace->id, 'at' => $at, 'new_cable' => $isNew,
                'pull' => Thinned::of($points->pull, $points->rest(), 120),
                'changes' => TraceChange::between(
                    TraceCodec::told(Node::of($before['told'])),
                    TraceCodec::told(Node::of($body['told'])),
                ),
            ];
            $hasNew = $hasNew || $isNew;
        }

        return $earlier;
    }

    /**
     * @return iterable<array{string, string, array<string, mixed>, bool}> job, time and body of earlier curves of this
     *     control, and whether it was of a new cable; newest first
     */
    private function before(string $id): iterable
    {
        foreach (array_reverse($this->state->facts->observations->traces) as $seen) {
            if ($seen->entry->trace !== $id) {
                yield [
                    $this->job->id,
                    $seen->entry->stamp->at,
                    TraceCodec::body($seen->entry),
                    $this->fittedBefore($seen->entry),
                ];
            }
        }
        $control = DB::table('control_jobs')->where('id', $this->job->id)->value('control_id');
        $closings = EntryRow::query()
            ->join('control_jobs', 'control_jobs.id', '=', 'entries.job_id')
            ->where('control_jobs.control_id', $control)
            ->where('entries.kind', EntryKind::Closed->value)
            ->where('control_jobs.id', '<>', $this->job->id)
            ->where('control_jobs.opened_at', '<=', $this->job->openedAt->format('Y-m-d H:i:s.v'))
            ->orderByDesc('control_jobs.opened_at')
            ->limit(20)
            ->get(['entries.job_id', 'entries.at', 'entries.body']);
        foreach ($closings as $closing) {
            $record = $closing->signed();
            foreach (array_reverse($record?->traces() ?? []) as $before) {
                yield [
                    (string) $closing->job_id,
                    $closing->at,
                    $before,
                    $record?->hasFitted(Part::Cable) === true,
                ];
            }
        }
    }

    /** Whether a cable was fitted in this job before it was pulled. */
    private function fittedBefore(TraceTaken $taken): bool
    {
        // As the log has them: two devices show two times.
        $places = $this->state->log->places;

        return array_filter(
            $this->state->facts->answers->parts,
            static fn (PartFitted $one): bool => $one->part === Part::Cable
                && $places[$one->stamp->id] < $places[$taken->stamp->id],
        ) !== [];
    }
}
