<?php

declare(strict_types=1);

namespace App\Bench;

use App\Library\SpecUse;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\Instrument;
use App\Models\Intake;
use App\Models\Machine;
use App\Models\SpecVersion;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What waits for a lead and for nobody else: looked up from where each of it stands, and gone as soon as it is done.
 */
final readonly class LeadsDay
{
    /** Rows that each group shows; what is left over is counted. */
    private const MOST = 6;

    /** Hours after which a job that is still open is asked about. */
    private const LEFT_OPEN = 24;

    /** @param  bool  $alone  whether one person works alone here */
    private function __construct(private User $lead, private CarbonImmutable $now, private bool $alone) {}

    /**
     * @return list<array{
     *     key: string, title: string, rows: list<array{title: string, says: string, to: string}>, more: int,
     * }> groups that have something
     */
    public static function of(User $lead, CarbonImmutable $now): array
    {
        $self = new self($lead, $now, SpecUse::worksAlone());

        return array_values(array_filter([
            self::group('tagged', 'Do not run: a lead lifts the tag', $self->tagged()),
            self::group('reported', 'Reported, and not answered', $self->reported()),
            self::group(
                'drafts',
                $self->alone ? 'Specs with something still empty' : 'Specs that wait for a second person',
                $self->drafts(),
            ),
            self::group('checked', 'Specs checked, and not in force', $self->checked()),
            self::group('overdue', 'Instruments past their calibration', $self->overdue()),
            self::group('open', 'Jobs open since yesterday or longer', $self->leftOpen()),
            self::group('bare', 'Machines without a control', $self->bare()),
        ], static fn (array $group): bool => $group['rows'] !== []));
    }

    /**
     * @param  Collection<int, array{title: string, says: string, to: string}>  $rows
     * @return array{key: string, title: string, rows: list<array{title: string, says: string, to: string}>, more: int}
     */
    private static function group(string $key, string $title, Collection $rows): array
    {
        return [
            'key' => $key,
            'title' => $title,
            'rows' => array_values($rows->take(self::MOST)->all()),
            'more' => max(0, $rows->count() - self::MOST),
        ];
    }

    /** @return Collection<int, array{title: string, says: string, to: string}> */
    private function tagged(): Collection
    {
        return Control::query()
            ->with('machine')
            ->where('is_tagged', true)
            ->get()
            ->toBase()
            ->filter(static fn (Control $one): bool => $one->machine->retired_at === null)
            ->map(static fn (Control $one): array => self::row(
                "{$one->machine->tag}, {$one->name}",
                $one->summary->tag['reason'] ?? '',
                self::at($one),
            ))->values();
    }

    /** @return Collection<int, array{title: string, says: string, to: string}> */
    private function reported(): Collection
    {
        return Intake::query()->with('machine')->whereNull('answered_at')->orderBy('at')->get()->toBase()
            ->map(static fn (Intake $one): array => self::row(
                "{$one->machine->tag}, {$one->machine->name}",
                "“{$one->words}”",
                "/machines/{$one->machine->tag}",
            ));
    }

    /** @return Collection<int, array{title: string, says: string, to: string}> */
    private function drafts(): Collection
    {
        return self::newest(SpecVersion::query()->whereNull('checked_at'))
            ->filter(fn (SpecVersion $one): bool => ! SpecUse::judges($one, $this->alone))
            ->map(fn (SpecVersion $one): array => self::row("{$one->model}, {$one->name}", match (true) {
                $one->missing() !== [] => 'Still empty: '.implode('; ', array_slice($one->missing(), 0, 2)),
                $one->entered_by_id === $this->lead->id => 'Yours: somebody else checks it',
                default => 'Entered by '.($one->enteredBy->name ?? 'nobody named').', and whole',
            }, "/specs/{$one->id}"))->values();
    }

    /** @return Collection<int, array{title: string, says: string, to: string}> */
    private function checked(): Collection
    {
        $behind = DB::table('controls')->join('spec_versions as old', 'old.id', '=', 'controls.spec_version_id')
            ->join(
                'spec_versions as newer',
                static fn ($join) => $join
                    ->on('newer.model', '=', 'old.model')
                    ->on('newer.control', '=', 'old.control')
                    ->on('newer.version', '>', 'old.version'),
            )
            ->whereNotNull('newer.checked_at')
            ->groupBy('newer.id')
            ->selectRaw('newer.id, count(distinct controls.id) as machines')
            ->pluck('machines', 'id');

        return self::newest(SpecVersion::query()->whereKey($behind->keys())->whereNotNull('checked_at'))
            ->map(static fn (SpecVersion $one): array => self::row(
                "{$one->model}, {$one->name}",
                "Version {$one->version}: "
                    .($behind[$one->id] === 1 ? '1 machine is' : "{$behind[$one->id]} machines are")
                    .' on an earlier one',
                "/specs/{$one->id}",
            ));
    }

    /**
     * @param  EloquentBuilder<SpecVersion>  $versions
     * @return Collection<int, SpecVersion> those of them that no newer one of their model and control follows
     */
    private static function newest(EloquentBuilder $versions): Collection
    {
        $versions->whereNotExists(
            static fn (Builder $newer) => $newer
                ->from('spec_versions as newer')
                ->selectRaw('1')
                ->whereColumn('newer.model', 'spec_versions.model')
                ->whereColumn('newer.control', 'spec_versions.control')
                ->whereColumn('newer.version', '>', 'spec_versions.version'),
        );

        return $versions->with('enteredBy')->orderBy('model')->orderBy('control')->get()->toBase();
    }

    /** @return Collection<int, array{title: string, says: string, to: string}> */
    private function overdue(): Collection
    {
        $today = ShopClock::today();

        return Instrument::onTheShelf()->filter(
            static fn (Instrument $one): bool => $one->instrument()->calibration?->isOverdueOn($today) === true,
        )
            ->map(static fn (Instrument $one): array => self::row(
                $one->instrument()->name,
                'Due '.self::day((string) $one->instrument()->calibration?->due).': readings with it say so',
                '/shelf',
            ))->values();
    }

    /** @return Collection<int, array{title: string, says: string, to: string}> */
    private function leftOpen(): Collection
    {
        return ControlJob::query()
            ->with(['control.machine'])
            ->whereNotNull('open_control_id')
            ->where('opened_at', '<', $this->now->subHours(self::LEFT_OPEN))
            ->orderBy('opened_at')
            ->get()
            ->toBase()
            ->map(static fn (ControlJob $one): array => self::row(
                "{$one->control->machine->tag}, {$one->control->name}",
                'Open since '.self::day(ShopClock::dayOf($one->opened_at)),
                "/jobs/{$one->id}",
            ));
    }

    /** @return Collection<int, array{title: string, says: string, to: string}> */
    private function bare(): Collection
    {
        return Machine::query()->whereNull('retired_at')->whereDoesntHave('controls')->orderBy('tag')->get()->toBase()
            ->map(static fn (Machine $one): array => self::row(
                "{$one->tag}, {$one->name}",
                'Nothing on it is checked',
                "/machines/{$one->tag}/add",
            ));
    }

    private static function day(string $date): string
    {
        return CarbonImmutable::parse($date)->format('j M Y');
    }

    private static function at(Control $control): string
    {
        return "/machines/{$control->machine->tag}#{$control->key}";
    }

    /** @return array{title: string, says: string, to: string} */
    private static function row(string $title, string $says, string $to): array
    {
        return ['title' => $title, 'says' => $says, 'to' => $to];
    }
}
