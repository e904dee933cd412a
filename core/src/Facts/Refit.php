<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;

/**
 * The order of work: what was taken off for safety is put back before anything is run. A throttle's boots stay open
 * until it was swept.
 */
final readonly class Refit
{
    /**
     * @param  array<string, mixed>  $coversOff  by the adjuster under it
     * @param  array<string, mixed>  $confirmed  by the key of its step
     */
    public function __construct(
        private Spec $spec,
        private Run $run,
        private array $coversOff,
        private array $confirmed,
    ) {}

    public static function of(Spec $spec, Run $run, Facts $facts): self
    {
        return new self($spec, $run, $facts->adjusters->coversOff, $facts->answers->confirmed);
    }

    /** Whether anything of this job runs the machine with its guards on, so that the refit comes before the end. */
    public function isAsked(): bool
    {
        $family = Families::of($this->spec->family);

        return ($this->spec->other(OutcomeTable::class) !== null && $family->runsItsTable())
            || array_filter(
                $this->spec->proofs($this->run),
                static fn (Proof $proof): bool => $proof->running === Running::Refitted,
            ) !== []
            || array_filter(
                $family->measures($this->spec),
                static fn (Measure $measure): bool => $measure->running === Running::Refitted,
            ) !== [];
    }

    /**
     * What must be back before this may be tried.
     *
     * @param  bool  $asFound  before anything was changed only the covers that were taken off count
     * @return list<string> in words; empty where it may be tried
     */
    public function waitsFor(Running $running, bool $asFound = false): array
    {
        if ($running !== Running::Refitted) {
            return [];
        }
        $covers = array_values(array_unique($this->coversOff()));
        $steps = $asFound
            ? []
            : array_filter(
                Families::of($this->spec->family)->refit(),
                fn (Step $step): bool => ! isset($this->confirmed[$step->key]),
            );

        return [
            ...array_map(static fn (string $cover): string => "{$cover} back on", $covers),
            ...array_values(array_map(static fn (Step $step): string => lcfirst($step->label), $steps)),
        ];
    }

    /**
     * Covers that are off and that nothing of this machine may run without, also for another of its controls. A
     * throttle is swept with its own covers off, so they harm nobody.
     *
     * @return list<string> their names
     */
    public function coversThatMustBeOn(): array
    {
        $runsOpen = array_filter(
            $this->spec->proofs($this->run),
            static fn (Proof $proof): bool => $proof->running === Running::Open,
        ) !== [];

        return $runsOpen ? [] : array_values(array_unique($this->coversOff()));
    }

    /** @return array<string, string> names of covers that are off, by the adjuster under them */
    public function coversOff(): array
    {
        return array_intersect_key($this->run->everCovers(), $this->coversOff);
    }

    /**
     * @return list<string> keys of what a change undoes: after it all is put back again before anything is run, and
     *     tools are looked for again before it is signed
     */
    public static function keys(Spec $spec): array
    {
        $family = Families::of($spec->family);

        return array_map(static fn (Step $step): string => $step->key, [...$family->refit(), ...$family->closing()]);
    }
}
