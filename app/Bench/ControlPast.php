<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\ControlJob;
use App\Models\EntryRow;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Trace\PullStory;
use VividPull\Core\Trace\TraceSummary;
use VividPull\Core\Wear\AgainAndAgain;
use VividPull\Core\Wear\FoundSide;
use VividPull\Core\Wear\JobRecord;
use VividPull\Core\Wear\Play;
use VividPull\Core\Wear\Taken;
use VividPull\Core\Wire\SignedReading;
use VividPull\Core\Wire\SignedRecord;
use VividPull\Core\Wire\TraceCodec;

/** The jobs of one control with what was signed at the end of each. */
final readonly class ControlPast
{
    private const MOST_JOBS = 60;

    /** All but the frame, which is most of a job and tells nothing here. */
    private const COLUMNS = ['id', 'control_id', 'usage_reading', 'opened_at', 'closed_at'];

    /**
     * @param  Collection<int, ControlJob>  $jobs  newest first
     * @param  Collection<string, EntryRow>  $closings  by job
     */
    private function __construct(private Control $control, private Collection $jobs, private Collection $closings) {}

    public static function of(Control $control): self
    {
        $jobs = ControlJob::query()
            ->where('control_id', $control->id)
            ->orderByDesc('opened_at')
            ->limit(self::MOST_JOBS)
            ->get(self::COLUMNS)
            ->toBase();
        $closings = EntryRow::query()
            ->whereIn('job_id', $jobs->pluck('id'))
            ->where('kind', EntryKind::Closed->value)
            ->get()
            ->toBase()
            ->keyBy('job_id');

        return new self($control, $jobs, $closings);
    }

    /** @return list<array<string, mixed>> newest first, as a list shows them */
    public function rows(): array
    {
        return array_values($this->jobs->map(function (ControlJob $job): array {
            $closing = $this->closings->get($job->id);
            $record = $this->record($job);
            $left = $record?->left();

            return [
                'job' => $job->id,
                'opened_at' => $job->opened_at->toIso8601String(),
                'closed_at' => $closing === null ? null : $this->signedAt($job),
                'by' => $closing?->by['name'],
                'usage' => $job->usage_reading,
                'outcome' => $closing?->outcome()?->value,
                'next_check' => $closing?->nextCheck(),
                'found_mm' => $record?->found()?->mm,
                'left_mm' => $left?->mm,
                'left_expanded_mm' => $left?->expandedMm,
                'stands' => array_values(array_map(
                    static fn (array $one): array => [
                        'name' => $one['name'],
                        'found' => $one['found'],
                        'left' => $one['left'],
                    ],
                    array_filter(
                        $record?->stands() ?? [],
                        static fn (array $one): bool => ($one['found'] ?? $one['left']) !== null,
                    ),
                )),
                'left_verdict' => $left?->verdict->value,
                'spec' => $record?->spec(),
                'source' => $record?->source(),
                'parts' => array_map(static fn (Part $part): string => $part->label(), $record?->parts() ?? []),
                'reason' => $record?->byChoice() ?? $record?->tag(),
                'pull' => self::pull($record?->traces() ?? []),
            ];
        })->all());
    }

    /** What the pulls kept as curves tell together; of those measured where the last one was. */
    public function pulls(): ?string
    {
        $traces = array_merge(...array_map(
            fn (ControlJob $job): array => $this->record($job)?->traces() ?? [],
            $this->closed(),
        ));
        $last = $traces === [] ? null : $traces[count($traces) - 1];
        $alike = array_filter(
            $traces,
            static fn (array $one): bool => $one['point'] === ($last['point'] ?? null)
                && ($one['at_mm'] ?? null) === ($last['at_mm'] ?? null),
        );

        return PullStory::of(array_values(array_map(
            static fn (array $one): TraceSummary => TraceCodec::told(Node::of($one['told'])),
            $alike,
        )));
    }

    /**
     * @param  list<array<string, mixed>>  $traces
     * @return array<string, mixed>|null the last pull of a job
     */
    private static function pull(array $traces): ?array
    {
        $last = array_pop($traces);

        return $last === null
            ? null
            : [
                'trace' => $last['trace'],
                'play_mm' => $last['told']['play_mm'] ?? null,
                'efficiency' => $last['told']['efficiency'] ?? null,
            ];
    }

    /** @return list<ControlJob> those with a signature, oldest first */
    public function closed(): array
    {
        return array_values(
            $this->jobs->filter(fn (ControlJob $job): bool => $this->record($job) !== null)->reverse()->all(),
        );
    }

    /** @return list<JobRecord> of the closed jobs, oldest first */
    public function looks(): array
    {
        return array_map($this->look(...), $this->closed());
    }

    /** Days since its cable was fitted here; null where it never was. */
    public function cableDays(): ?int
    {
        return $this->daysSince(static fn (SignedRecord $record): bool => $record->hasFitted(Part::Cable));
    }

    /** Days since it was oiled here; null where it never was. */
    public function oiledDays(): ?int
    {
        return $this->daysSince(static fn (SignedRecord $record): bool => $record->hasPutRight(Cure::Oiled));
    }

    /** Days since the engine oil was changed in a job of it; null where it never was. */
    public function engineOilDays(): ?int
    {
        return $this->daysSince(static fn (SignedRecord $record): bool => $record->hasPutRight(Cure::EngineOil));
    }

    /** @param  callable(SignedRecord): bool  $is */
    private function daysSince(callable $is): ?int
    {
        foreach (array_reverse($this->closed()) as $job) {
            $record = $this->record($job);
            if ($record !== null && $is($record)) {
                return (int) CarbonImmutable::parse($this->signedAt($job))->diffInDays(CarbonImmutable::now(), true);
            }
        }

        return null;
    }

    /** The day that the last signature named for the next look. */
    public function namedDay(): ?string
    {
        $checked = '';
        foreach (array_reverse($this->closed()) as $job) {
            $closing = $this->closings->get($job->id);
            $named = $closing?->nextCheck();
            if ($closing?->outcome() !== ClosingOutcome::Checked || $named !== null) {
                // A check before that day does not put it off.
                return $named !== null && $named > $checked ? $named : null;
            }
            $checked = max($checked, $this->signedOn($job));
        }

        return null;
    }

    /** @return list<string> what was taken up again and again within the last year */
    public function again(): array
    {
        return AgainAndAgain::of($this->taken())->said(
            CarbonImmutable::now()->toDateString(),
            Families::of($this->control->spec()->family),
        );
    }

    /** The adjuster that cured it last time. */
    public function cured(): ?string
    {
        return AgainAndAgain::of($this->taken())->curedLast();
    }

    /** @return list<Taken> oldest first */
    private function taken(): array
    {
        $taken = [];
        foreach ($this->closed() as $job) {
            $closing = $this->closings->get($job->id);
            foreach ($this->record($job)?->stands() ?? [] as $one) {
                $taken[] = new Taken(
                    $this->signedOn($job),
                    $one['adjuster'],
                    $one['name'],
                    StepUnit::from($one['unit']),
                    (float) $one['taken'],
                    $closing?->outcome() === ClosingOutcome::Fit,
                );
            }
        }

        return $taken;
    }

    /** When a closed job was signed, RFC 3339, whatever the clock it was signed at. */
    private function signedAt(ControlJob $job): string
    {
        return (string) $this->closings->get($job->id)?->happenedAt($job->opened_at);
    }

    /** The day of that. */
    private function signedOn(ControlJob $job): string
    {
        return substr($this->signedAt($job), 0, 10);
    }

    private function look(ControlJob $job): JobRecord
    {
        $record = $this->record($job);
        [$found, $closing] = [$record?->found(), $this->closings->get($job->id)];

        return new JobRecord(
            (float) $job->usage_reading,
            $this->signedOn($job),
            $record?->point() ?? $this->control->spec()->aim->point ?? ReadingPoint::LeverTip,
            $found?->engine,
            self::play($found),
            self::play($record?->left()),
            $record?->givenBeforeMm() ?? 0.0,
            $record?->parts() ?? [],
            match ($found?->verdict) {
                VerdictKind::TooLoose => FoundSide::Loose,
                VerdictKind::TooTight, VerdictKind::Taut => FoundSide::Tight,
                default => FoundSide::Inside,
            },
            $closing?->outcome() !== ClosingOutcome::Checked,
        );
    }

    private static function play(?SignedReading $reading): ?Play
    {
        return $reading === null || $reading->verdict === VerdictKind::NotJudged
            ? null
            : new Play($reading->mm, $reading->standardMm, $reading->freedom);
    }

    /** What was signed; null while it is open. */
    private function record(ControlJob $job): ?SignedRecord
    {
        return $this->closings->get($job->id)?->signed();
    }
}
