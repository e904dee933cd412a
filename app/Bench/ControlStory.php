<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\BookInterval;
use VividPull\Core\Spec\MeterUnit;
use VividPull\Core\Wear\Candidate;
use VividPull\Core\Wear\JobRecord;
use VividPull\Core\Wear\LimitAhead;
use VividPull\Core\Wear\NextCheck;
use VividPull\Core\Wear\UsageRate;
use VividPull\Core\Wear\WearInterval;
use VividPull\Core\Wear\WearStory;
use VividPull\Core\Wear\WearWords;

/** The wear story of one control, from its past: what the core makes of it, for lists and screens. */
final readonly class ControlStory
{
    /** @param  list<JobRecord>  $looks */
    private function __construct(
        private ControlPast $past,
        private array $looks,
        private MeterUnit $unit,
        private ?WearStory $story,
        public ?NextCheck $next,
    ) {}

    public static function of(Control $control, ControlPast $past): self
    {
        $looks = $past->looks();
        $unit = MeterUnit::from($control->machine->usage_unit);
        $story = self::wear($control, $looks);
        $next = $looks === [] ? null : NextCheck::after(
            $looks[count($looks) - 1], $unit, self::book($control), $story?->bound(), self::pace($control, $looks),
            $past->namedDay(),
            Families::of($control->spec()->family)->bedsIn() && count($looks) === 1 && $unit->isNewAt($looks[0]->usage),
            self::lastWhole($looks),
        );

        return new self($past, $looks, $unit, $story, $next);
    }

    /**
     * The last that was looked over and proved; where there is none, nothing is known from before the first.
     *
     * @param  non-empty-list<JobRecord>  $looks
     */
    private static function lastWhole(array $looks): JobRecord
    {
        $whole = array_filter($looks, static fn (JobRecord $one): bool => $one->isWhole);

        return $whole === [] ? $looks[0] : $whole[array_key_last($whole)];
    }

    /** What the core makes of its past, where play is read. */
    public static function told(Control $control, ControlPast $past): ?WearStory
    {
        return self::wear($control, $past->looks());
    }

    /** @return array<string, mixed>|null null before the first signature */
    public function wire(): ?array
    {
        if ($this->looks === []) {
            return null;
        }
        $jobs = $this->past->closed();

        return [
            'heading' => $this->story === null ? null : WearWords::heading($this->story),
            'words' => $this->story === null ? null : WearWords::say($this->story, $this->unit),
            'cause' => $this->story?->cause?->value,
            'replace' => $this->story?->replace(),
            'intervals' => array_map(static fn (WearInterval $one, int $n): array => [
                'from' => $jobs[$n]->id, 'to' => $jobs[$n + 1]->id, 'kind' => $one->kind->value,
                'drift_mm' => $one->drift,
            ], $this->story->intervals ?? [], array_keys($this->story->intervals ?? [])),
            'again' => $this->past->again(),
            'ahead' => $this->ahead(),
            'next' => $this->next === null
                ? null
                : self::candidate($this->next->decides) + ['all' => array_map(self::candidate(...), $this->next->all)],
        ];
    }

    /** @return array<string, mixed>|null the edge that it drifts to, and how the way there is foretold */
    private function ahead(): ?array
    {
        $last = $this->looks[count($this->looks) - 1];
        $edges = array_filter(
            [($this->story->slope ?? 0.0) < 0.0 ? $this->story?->low : $this->story?->high],
            static fn (?LimitAhead $edge): bool => $edge?->bound !== null,
        );
        if ($edges === [] || $last->left === null || $this->story?->slope === null) {
            return null;
        }

        return [
            'from_usage' => $last->usage,
            'from_mm' => $last->left->mm,
            'per_use_mm' => $this->story->slope,
            'limit_mm' => $edges[0]->limit,
            'expected_usage' => $edges[0]->expected === null ? null : $last->usage + $edges[0]->expected,
            'bound_usage' => $last->usage + (float) $edges[0]->bound,
        ];
    }

    /** @return array<string, mixed> */
    private static function candidate(Candidate $one): array
    {
        return [
            'why' => $one->why->value,
            'label' => $one->why->label(),
            'usage' => $one->usage === null ? null : round($one->usage),
            'day' => $one->day,
        ];
    }

    /** @param  list<JobRecord>  $looks */
    private static function wear(Control $control, array $looks): ?WearStory
    {
        $aim = $control->spec()->aim;

        return $aim === null
            ? null
            : WearStory::of(
                $looks,
                $aim->band,
                Families::of($control->spec()->family),
                self::ratio($control, $aim->point),
            );
    }

    /** R as this control taught it, else as it is drawn, else as it is usual for the family. */
    public static function ratio(Control $control, ReadingPoint $point): float
    {
        $taught = $control->summary?->lnRatio($point->value);

        return $taught !== null ? exp($taught) : ($control->fitted()->couplings->at($point)
            ?? Families::of($control->spec()->family)->usualRatio($point))->value;
    }

    private static function book(Control $control): ?BookInterval
    {
        return $control->spec()->book->interval;
    }

    /** @param  list<JobRecord>  $looks */
    private static function pace(Control $control, array $looks): ?UsageRate
    {
        $read = array_map(static fn (JobRecord $look): array => ['day' => $look->day, 'usage' => $look->usage], $looks);
        $meter = $control->machine->meterReadings()->orderByDesc('at')->first(['at', 'usage']);

        $now = $meter === null ? [] : [['day' => $meter->at->toDateString(), 'usage' => (float) $meter->usage]];
        $all = [...$read, ...$now];
        usort($all, static fn (array $a, array $b): int => [$a['day'], $a['usage']] <=> [$b['day'], $b['usage']]);

        return UsageRate::of($all);
    }
}
