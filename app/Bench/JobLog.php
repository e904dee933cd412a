<?php

declare(strict_types=1);

namespace App\Bench;

use App\Chain\Link;
use Illuminate\Support\Collection;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Log;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\JobFile;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** The entries of one job out of its visit's rows: its own, and those of the whole visit up to its end. */
final readonly class JobLog
{
    /**
     * @param  array{spec: array<string, mixed>, run: array<string, mixed>}  $frame
     * @param  list<StoredEntry>  $rows  opening entry first
     */
    private function __construct(
        private array $frame,
        private array $rows,
        /** Whether it came in from a file. When it was, the file says alone: the server had it long after. */
        private bool $isFiled,
    ) {}

    public static function of(JobHead $job): self
    {
        return self::fromVisit($job->id, $job->frame, StoredEntry::ofVisit($job->visit));
    }

    /**
     * @param  array{spec: array<string, mixed>, run: array<string, mixed>}  $frame
     * @param  Collection<int, StoredEntry>  $rows  of the whole visit, in order
     */
    public static function fromVisit(string $job, array $frame, Collection $rows): self
    {
        $opening = [];
        $rest = [];
        $closed = false;
        foreach ($rows as $row) {
            if ($row->job === $job && $row->kind === 'opened') {
                $opening[] = $row;
            } elseif ($row->job === $job || ($row->job === null && ! $closed)) {
                $rest[] = $row;
            }
            $closed = $closed || ($row->job === $job && $row->kind === 'closed');
        }

        return new self(
            $frame,
            [...$opening, ...$rest],
            ($rows->last()->seq ?? 0) >= Link::FILED_CLOSING,
        );
    }

    public function replay(): BenchState
    {
        $run = RunCodec::decode(Node::of($this->frame['run']));
        $codec = new EntryCodec($run);
        $entries = array_map(
            static fn (array $entry): Entry => $codec->decode(Node::of($entry)),
            $this->entries(),
        );

        return Bench::replay($this->spec(), $run, Log::of(...$entries));
    }

    /** @return array<string, mixed> the job as a file that needs nothing else */
    public function file(): array
    {
        return [
            'format' => JobFile::FORMAT,
            'spec' => $this->frame['spec'],
            'run' => $this->frame['run'],
            'log' => $this->entries(),
        ];
    }

    /** @return list<array<string, mixed>> as the core's codec reads them */
    private function entries(): array
    {
        return array_map(
            fn (StoredEntry $row): array => $this->isFiled
                ? array_replace($row->wire(), ['received_at' => null])
                : $row->wire(),
            $this->rows,
        );
    }

    private function spec(): Spec
    {
        return SpecCodec::decode(Node::of($this->frame['spec']));
    }
}
