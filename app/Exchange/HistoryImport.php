<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\ControlPast;
use App\Bench\ControlSummary;
use App\Bench\FiledEntry;
use App\Bench\ImportedRecord;
use App\Bench\NextLook;
use App\Chain\Link;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\Instrument;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Judging\Rejudged;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Measurement\KeptReading;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;

/**
 * Jobs that were done before the bench was here, or on another one: each line becomes a closed job that says where it
 * comes from, and the wear story goes on from it.
 */
final class HistoryImport implements LineImport
{
    public const EARLIEST = '1950-01-01';

    private const PIECE = 200;

    /**
     * @var array<string, array{
     *     control: int, machine: int, spec: int, frame: string, say: string, source: string, point: string|null,
     *     band: SpecBand|null, rule: DecisionRule,
     * }>
     */
    private array $controls = [];

    /** @var list<array<string, mixed>>|null every instrument there is or was: readings of these jobs may name them */
    private ?array $shelf = null;

    /** @var array<string, true> jobs of the file seen so far */
    private array $seen = [];

    /** @var array<int, true> */
    private array $touched = [];

    public function __construct(private readonly User $by, private readonly string $today) {}

    public function format(): string
    {
        return 'vivid-pull/history@1';
    }

    public function key(): string
    {
        return 'rows';
    }

    public function columns(): array
    {
        return HistoryRow::COLUMNS;
    }

    public function consider(array $row): ?object
    {
        $line = HistoryRow::from($row);
        $control = $this->control($line);
        if ($line->day > $this->today || $line->day < self::EARLIEST) {
            throw Refused::because("day: {$line->day} is not between ".self::EARLIEST.' and today.');
        }
        if ($line->point !== null && $control['point'] !== null && $line->point->value !== $control['point']) {
            throw Refused::because(
                "point: {$line->machine} {$line->control} is held against a figure at the {$control['point']}; a figure read elsewhere cannot stand beside it.",
            );
        }
        if (isset($this->seen[$line->job])) {
            throw Refused::because('This line stands in the file already.');
        }
        $this->seen[$line->job] = true;
        $standing = ControlJob::query()->where('id', $line->job)->first(['id', 'control_id']);
        if ($standing !== null) {
            return $standing->control_id === $control['control']
                ? null
                : throw Refused::because('job: this id stands for a job on another control.');
        }

        return $line;
    }

    public function write(array $taken): void
    {
        foreach (array_chunk($taken, self::PIECE) as $lines) {
            [$visits, $jobs, $entries] = [[], [], []];
            foreach ($lines as $line) {
                assert($line instanceof HistoryRow);
                $control = $this->control($line);
                $this->touched[$control['control']] = true;
                $at = CarbonImmutable::parse("{$line->day} 12:00:00", 'UTC');
                $moment = $at->format('Y-m-d H:i:s.v');
                $visit = Uuid::uuid5($line->job, 'visit')->toString();
                $visits[] = [
                    'id' => $visit,
                    'machine_id' => $control['machine'],
                    'opened_at' => $moment,
                    'closed_at' => $moment,
                ];
                $jobs[] = [
                    'id' => $line->job,
                    'visit_id' => $visit,
                    'control_id' => $control['control'],
                    'spec_version_id' => $control['spec'],
                    'open_control_id' => null,
                    'frame' => $control['frame'],
                    'usage_reading' => $line->usage,
                    'opened_at' => $moment,
                    'closed_at' => $moment,
                ];
                $entries = [...$entries, ...$this->entries($line, $visit, $at, $this->closing($line, $control))];
            }
            DB::table('visits')->insert($visits);
            DB::table('control_jobs')->insert($jobs);
            EntryRow::file($entries, $this->by->id, CarbonImmutable::now());
        }
    }

    /**
     * Each job is opened and closed; nothing is known of what lay between.
     *
     * @return list<FiledEntry>
     */
    private function entries(HistoryRow $line, string $visit, CarbonImmutable $at, Draft $closing): array
    {
        $opening = Opened::draft("{$line->machine} {$line->control}", ['shelf' => $this->shelf()]);
        $filed = static fn (int $seq, Draft $draft): FiledEntry => new FiledEntry(
            $visit,
            $seq,
            $line->job,
            $draft,
            FiledEntry::stamp(
                Uuid::uuid5($line->job, $draft->kind->value)->toString(),
                $at->toIso8601String(),
                $line->signedBy,
            ),
        );

        return [$filed(1, $opening), $filed(Link::FILED_CLOSING, $closing)];
    }

    /** The lists and the due dates follow from what is the newest now. */
    public function finish(): void
    {
        foreach (array_keys($this->touched) as $id) {
            $control = Control::query()->with(['machine', 'specVersion'])->findOrFail($id);
            $closed = ControlPast::of($control)->closed();
            $newest = $closed[count($closed) - 1] ?? null;
            $summed = $control->summary === null ? null : CarbonImmutable::parse($control->summary->at);
            if ($newest !== null && ($summed === null || $newest->closed_at?->greaterThan($summed) === true)) {
                $entry = EntryRow::query()
                    ->where('job_id', $newest->id)
                    ->where('kind', EntryKind::Closed->value)
                    ->firstOrFail();
                $control->forceFill(['summary' => ControlSummary::filed($entry)])->save();
            }
            NextLook::refresh($control);
        }
    }

    /** @return list<array<string, mixed>> */
    private function shelf(): array
    {
        return $this->shelf ??= array_values(
            Instrument::query()
                ->orderBy('place')
                ->orderBy('id')
                ->get()
                ->filter(static fn (Instrument $one): bool => $one->readsPlay())
                ->map(static fn (Instrument $one): array => $one->asWritten())
                ->all(),
        );
    }

    /**
     * @return array{
     *     control: int, machine: int, spec: int, frame: string, say: string, source: string, point: string|null,
     *     band: SpecBand|null, rule: DecisionRule,
     * }
     */
    private function control(HistoryRow $line): array
    {
        return $this->controls["{$line->machine}/{$line->control}"] ??= $this->find($line);
    }

    /**
     * @return array{
     *     control: int, machine: int, spec: int, frame: string, say: string, source: string, point: string|null,
     *     band: SpecBand|null, rule: DecisionRule,
     * }
     */
    private function find(HistoryRow $line): array
    {
        $control = Control::query()->with(['machine', 'specVersion'])->where('key', $line->control)
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', $line->machine))->first()
                ?? throw Refused::because("{$line->machine} has no control called {$line->control} here.");
        $spec = $control->spec();

        return [
            'control' => $control->id,
            'machine' => $control->machine_id,
            'spec' => $control->spec_version_id,
            'frame' => (string) json_encode(
                ['spec' => $control->specVersion->body, 'run' => $control->run],
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
            'say' => $spec->say(),
            'source' => $spec->source->say(),
            'point' => $spec->aim?->point->value,
            'band' => $spec->aim?->band,
            'rule' => $spec->rule,
        ];
    }

    /**
     * @param  array{say: string, source: string, point: string|null, band: SpecBand|null, rule: DecisionRule}  $control
     */
    private function closing(HistoryRow $line, array $control): Draft
    {
        return Closed::recording(Closed::draft($line->outcome, $line->nextCheck), [
            'engine' => ImportedRecord::HISTORY,
            'point' => $line->point->value ?? $control['point'],
            'spec' => $control['say'],
            'source' => $control['source'],
            'found' => self::reading($line->found, $line->foundU, $line, $control),
            'left' => self::reading($line->left, $line->leftU, $line, $control),
            'given_before_mm' => $line->given,
            'parts' => array_map(static fn ($part): string => $part->value, $line->parts),
            'by_choice' => $line->outcome->value === 'by_choice' ? $line->reason : null,
            'tag' => $line->outcome->value === 'tagged' ? $line->reason : null,
        ]);
    }

    /**
     * @param  array{band: SpecBand|null, rule: DecisionRule}  $control
     * @return array<string, mixed>|null
     */
    private static function reading(?float $mm, ?float $standard, HistoryRow $line, array $control): ?array
    {
        if ($mm === null || $standard === null) {
            return null;
        }
        $judged = $control['band'] === null ? null : Rejudged::by($control['band'], $control['rule'], $mm, $standard);

        return [
            'mm' => $mm,
            'standard_mm' => $standard,
            'expanded_mm' => KeptReading::expanded($standard),
            'engine' => $line->engine?->value,
            'instrument' => 'from history',
            'overdue_since' => null,
            'converted_from' => null,
            'verdict' => $judged->kind->value ?? 'not_judged',
            'sentence' => 'From history',
            'chance_inside' => $judged?->chance,
        ];
    }
}
