<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\EntryRow;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Entry\Entry;
use VividPull\Core\Bench\Log;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\JobFile;
use VividPull\Core\Wire\Node;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** The entries of one job out of its visit's rows: its own, and those of the whole visit up to its end. */
final readonly class JobLog
{
    /** @param  Collection<int, EntryRow>  $rows  opening entry first */
    private function __construct(private ControlJob $job, private Collection $rows) {}

    public static function of(ControlJob $job): self
    {
        return self::fromVisit($job, EntryRow::query()->where('visit_id', $job->visit_id)->orderBy('seq')->get());
    }

    /** @param  Collection<int, EntryRow>  $rows  of the whole visit, in order */
    public static function fromVisit(ControlJob $job, Collection $rows): self
    {
        $end = $rows->first(static fn (EntryRow $row): bool => $row->job_id === $job->id && $row->kind === 'closed')->seq ?? PHP_INT_MAX;
        $mine = $rows->filter(static fn (EntryRow $row): bool => $row->job_id === $job->id || ($row->job_id === null && $row->seq < $end));
        [$opening, $rest] = $mine->partition(static fn (EntryRow $row): bool => $row->kind === 'opened');

        return new self($job, $opening->concat($rest)->values());
    }

    public function replay(): BenchState
    {
        $run = RunCodec::decode(Node::of($this->job->frame['run']));
        $codec = new EntryCodec($run);
        $entries = $this->rows->map(static fn (EntryRow $row): Entry => $codec->decode(Node::of(self::wire($row))));

        return Bench::replay($this->spec(), $run, Log::of(...$entries->all()));
    }

    /** @return array<string, mixed> the job as a file that needs nothing else */
    public function file(): array
    {
        return [
            'format' => JobFile::FORMAT,
            'spec' => $this->job->frame['spec'],
            'run' => $this->job->frame['run'],
            'log' => $this->rows->map(self::wire(...))->all(),
        ];
    }

    private function spec(): Spec
    {
        return SpecCodec::decode(Node::of($this->job->frame['spec']));
    }

    /** @return array<string, mixed> */
    private static function wire(EntryRow $row): array
    {
        return array_filter([
            'id' => $row->id,
            'seq' => $row->seq,
            'kind' => $row->kind,
            'at' => $row->at,
            'received_at' => CarbonImmutable::parse($row->received_at, 'UTC')->format('Y-m-d\TH:i:s.vP'),
            'by' => $row->by,
            'after' => $row->after,
            'line' => $row->line === '' ? null : $row->line,
        ], static fn (mixed $value): bool => $value !== null) + ['body' => $row->body];
    }
}
