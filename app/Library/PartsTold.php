<?php

declare(strict_types=1);

namespace App\Library;

use App\Bench\ShopClock;
use App\Models\ControlJob;
use App\Models\EntryRow;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use stdClass;
use VividPull\Core\Cable\Part;
use VividPull\Core\Log\EntryKind;

/**
 * On which control a cable of a number was fitted, and where it was tried and refused, as signed jobs of the whole shop
 * tell.
 */
final readonly class PartsTold
{
    /**
     * @param  array<string, list<array{
     *     control: int, tag: string, name: string, key: string, fits: bool, on: string,
     * }>>  $told  by number, the latest first
     * @param  array<int, string>  $replaced  the day a cable was last fitted to a control, with a number or without
     */
    private function __construct(private array $told, private array $replaced) {}

    public static function ofCables(): self
    {
        $closed = self::closed();
        $records = EntryRow::query()
            ->whereIn('job_id', $closed->pluck('id'))
            ->where('kind', EntryKind::Closed->value)
            ->get(['job_id', 'body'])
            ->keyBy('job_id');
        [$told, $replaced] = [[], []];
        foreach ($closed as $one) {
            $record = $records->get($one->id)?->signed();
            $where = [
                'control' => (int) $one->control,
                'tag' => (string) $one->tag,
                'name' => (string) $one->name,
                'key' => (string) $one->key,
            ];
            $on = ShopClock::dayOf(CarbonImmutable::parse($one->closed_at, 'UTC'));
            if ($record?->hasFitted(Part::Cable) === true) {
                $replaced[$where['control']] ??= $on;
            }
            foreach ($record?->numbers() ?? [] as $part) {
                if ($part['part'] === Part::Cable) {
                    $told[$part['number']][] = $where + ['fits' => $part['fits'], 'on' => $on];
                }
            }
        }

        return new self($told, $replaced);
    }

    /** @return Collection<int, stdClass> jobs in which a part was fitted or refused, the last closed first */
    private static function closed(): Collection
    {
        $jobs = EntryRow::query()
            ->whereIn('kind', [EntryKind::Part->value, EntryKind::PartRefused->value])
            ->distinct()
            ->pluck('job_id');

        return ControlJob::query()
            ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
            ->join('machines', 'machines.id', '=', 'controls.machine_id')
            ->whereIn('control_jobs.id', $jobs)
            ->whereNotNull('control_jobs.closed_at')
            ->orderByDesc('control_jobs.closed_at')
            ->toBase()->get([
                'control_jobs.id',
                'control_jobs.closed_at',
                'controls.id as control',
                'controls.name',
                'controls.key',
                'machines.tag',
            ]);
    }

    /**
     * @return list<array{control: int, tag: string, name: string, key: string, fits: bool, on: string}> a control once,
     *     as it was told last
     */
    public function of(?string $number): array
    {
        $last = [];
        foreach ($number === null ? [] : $this->told[$number] ?? [] as $one) {
            $last[$one['control']] ??= $one;
        }

        return array_values($last);
    }

    /** Whether a cable of this number was fitted to a control (true), tried and refused (false), or neither. */
    public function at(?string $number, int $control): ?bool
    {
        foreach ($this->of($number) as $one) {
            if ($one['control'] === $control) {
                return $one['fits'];
            }
        }

        return null;
    }

    /** The day a cable was last fitted to a control, with a number or without; null where none was. */
    public function replacedOn(int $control): ?string
    {
        return $this->replaced[$control] ?? null;
    }

    /**
     * @return array{number: string, on: string}|null the number that was fitted to a control last, and the day; null
     *     where none was named
     */
    public function fittedTo(int $control): ?array
    {
        $last = null;
        foreach (array_keys($this->told) as $number) {
            foreach ($this->told[$number] as $one) {
                if ($one['control'] === $control && $one['fits'] && ($last === null || $one['on'] > $last['on'])) {
                    $last = ['number' => $number, 'on' => $one['on']];
                }
            }
        }

        return $last;
    }
}
