<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\HandControl;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;

/**
 * A ratio that the readings contradict: the reading point moves so many times as far as the spec's distances say. What
 * was learned is offered to the spec as a correction, with what it rests on.
 */
final readonly class RatioFinding
{
    /** Off by more than a quarter, and surely so: two deviations clear of it (ours). */
    private const OFF = 0.25;

    private const DEVIATIONS = 2.0;

    private function __construct(
        public float $told,
        public float $learned,
        public float $deviation,
        public string $finding,
        public string $sentence,
        /** What would settle it; null where no distances tell it, or they were measured and it is so all the same. */
        public ?SettledBy $settledBy,
        private float $wireMm,
        private ?float $pointMm,
    ) {}

    public static function of(Spec $spec, Run $run, Beliefs $beliefs): ?self
    {
        $coupling = $spec->aim === null ? null : $run->couplings->at($spec->aim->point);
        if ($coupling === null || $coupling->knowledge === Knowledge::Default || ! $beliefs->play->hasLearned()) {
            return null;
        }

        return self::against($spec, $run, $beliefs->play->taught());
    }

    /**
     * What machines of one model taught of the spec they share: more than half of them must contradict it the same way,
     * since one odd machine says nothing of the spec. Their mean by weight is the correction.
     *
     * @param  list<RatioPrior>  $machines
     */
    public static function across(Spec $spec, Run $run, array $machines): ?self
    {
        $coupling = $spec->aim === null ? null : $run->couplings->at($spec->aim->point);
        if ($coupling === null || $coupling->knowledge === Knowledge::Default) {
            return null;
        }
        foreach ([true, false] as $further) {
            $against = array_values(array_filter(
                $machines,
                static fn (RatioPrior $one): bool => ($one->ln > log($coupling->value)) === $further
                    && self::against($spec, $run, $one) !== null,
            ));
            if (2 * count($against) > count($machines)) {
                return self::against($spec, $run, self::mean($against));
            }
        }

        return null;
    }

    /**
     * Where the reading point would lie if the wire's distance is right, in mm from the pivot; null where the spec has
     * no distances.
     */
    public function pointMm(): ?float
    {
        return $this->pointMm === null ? null : $this->learned * $this->wireMm;
    }

    /**
     * Where the wire would lie if the reading point's distance is right, in mm from the pivot; null where the spec has
     * no distances.
     */
    public function wireMm(): ?float
    {
        return $this->pointMm === null ? null : $this->pointMm / $this->learned;
    }

    private static function against(Spec $spec, Run $run, RatioPrior $taught): ?self
    {
        $point = $spec->aim?->point;
        $told = $point === null ? null : $run->couplings->at($point)?->value;
        $off = $told === null ? 0.0 : $taught->ln - log($told);
        if ($told === null || abs($off) - self::DEVIATIONS * $taught->spread < self::OFF) {
            return null;
        }
        $learned = exp($taught->ln);
        $finding = self::said($run->hand, $point, exp($off));
        $isMeasured = $run->hand->isMeasuredHere;
        $canMeasure = ! $isMeasured && $run->hand->measurable($point) !== [];

        return new self(
            $told,
            $learned,
            $learned * $taught->spread,
            "{$finding}.",
            "{$finding}: ".($canMeasure ? 'measure its two distances, and see' : 'check the pitch, and')
                .' which adjuster was turned.',
            $canMeasure ? SettledBy::Hand : null,
            $run->hand->wireMm,
            $run->hand->pointMm[$point->value] ?? null,
        );
    }

    /** @param  list<RatioPrior>  $machines  at least one */
    private static function mean(array $machines): RatioPrior
    {
        $weights = array_map(static fn (RatioPrior $one): float => 1 / $one->spread ** 2, $machines);
        $total = array_sum($weights);
        $mean = array_sum(array_map(
            static fn (RatioPrior $one, float $weight): float => $weight * $one->ln,
            $machines,
            $weights,
        )) / $total;
        // As far as they differ among themselves, the mean is no surer.
        $apart = array_sum(array_map(
            static fn (RatioPrior $one): float => ($one->ln - $mean) ** 2,
            $machines,
        )) / max(1, count($machines) - 1) / count($machines);

        return RatioPrior::of($mean, sqrt(max(1 / $total, $apart)));
    }

    private static function said(HandControl $hand, ReadingPoint $point, float $times): string
    {
        $far = ($times >= 1.0 ? '' : 'only ').Figure::ratio($times).' times as far';

        return match (true) {
            $point === ReadingPoint::FerruleGap => "The gap seems to open {$far} as its thread says",
            $hand->isOfMachine => "The {$hand->kind->value} seems to move {$far} as its measured distances say",
            default => "The {$hand->kind->value} seems to move {$far} as its spec says",
        };
    }
}
