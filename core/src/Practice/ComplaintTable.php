<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Practice\Faulty\FaultyMachine;
use VividPull\Core\Spec\FamilyKey;

/** How many hidden complaints went, by each way of working. */
final readonly class ComplaintTable
{
    /**
     * @param  array<string, list<ComplaintTrial>>  $trials  by way
     * @param  list<array{float, bool}>  $said  chances after two looks, and whether it was so
     */
    private function __construct(private array $trials, private array $said) {}

    public static function none(): self
    {
        return new self([], []);
    }

    /** Drawn from the grades themselves, or from grades that are off by so many either way. */
    public static function of(FamilyKey $family, int $count, int $off): self
    {
        $knowledge = Causes::of($family);

        return self::tried(
            $knowledge,
            $count,
            static fn (int $seed): HiddenComplaint => DrawnComplaint::of($knowledge, new SeededChance($seed), $off),
        );
    }

    /**
     * Machines with faults, which answer by their mechanics and not by the grades.
     *
     * @param  int  $off  by how many grades each link of who searches may be off, either way
     */
    public static function ofMachines(FamilyKey $family, int $count, int $off = 0): self
    {
        $chance = new SeededChance($count + $off);
        $true = Causes::of($family);
        $knowledge = $off === 0
            ? $true
            : $true->graded(static fn (Grade $grade): Grade => $grade->shifted((int) round(
                $chance->between(-$off - 0.5, $off + 0.5),
            )));

        return self::tried(
            $knowledge,
            $count,
            static fn (int $seed): HiddenComplaint => FaultyMachine::of($family, $knowledge, $seed),
        );
    }

    /** @param  callable(int): HiddenComplaint  $made  by seed */
    private static function tried(Knowledge $knowledge, int $count, callable $made): self
    {
        [$trials, $said] = [[], []];
        for ($seed = 1; $seed <= $count; $seed++) {
            $truth = $made($seed);
            $told = $truth->told($knowledge, new SeededChance($count + $seed));
            foreach (WayOfWorking::cases() as $way) {
                $trials[$way->value][] = ComplaintTrial::of($knowledge, $truth, $told, $way);
            }
            foreach (end($trials[WayOfWorking::Ours->value])->chances as $cause => $one) {
                $said[] = [$one, in_array($cause, $truth->causes(), true)];
            }
        }

        return new self($trials, $said);
    }

    public function and(self $other): self
    {
        $trials = [];
        foreach (WayOfWorking::cases() as $way) {
            $trials[$way->value] = [...$this->trials[$way->value] ?? [], ...$other->trials[$way->value] ?? []];
        }

        return new self($trials, [...$this->said, ...$other->said]);
    }

    /** The share in which a cause it has stood first after at most two looks. */
    public function named(): float
    {
        $ours = $this->trials[WayOfWorking::Ours->value];

        return count(array_filter($ours, static fn (ComplaintTrial $one): bool => $one->isNamed)) / count($ours);
    }

    /** Minutes until it is gone, on average. */
    public function minutes(WayOfWorking $way): float
    {
        return array_sum(array_map(
            static fn (ComplaintTrial $one): float => $one->minutes,
            $this->trials[$way->value],
        )) / count($this->trials[$way->value]);
    }

    /** Minutes beyond the looks for safety and putting right what it is, on average. */
    public function searching(WayOfWorking $way): float
    {
        return array_sum(array_map(
            static fn (ComplaintTrial $one): float => $one->searching,
            $this->trials[$way->value],
        )) / count($this->trials[$way->value]);
    }

    public function looks(): float
    {
        $ours = $this->trials[WayOfWorking::Ours->value];

        return array_sum(array_map(static fn (ComplaintTrial $one): int => $one->looks, $ours)) / count($ours);
    }

    /** The share of complaints that are gone in the end. */
    public function gone(): float
    {
        $ours = $this->trials[WayOfWorking::Ours->value];

        return count(array_filter($ours, static fn (ComplaintTrial $one): bool => $one->isGone)) / count($ours);
    }

    /**
     * @return list<array{float, float, int}> chances in tenths: what was said on average, how often it was so, of how
     *     many
     */
    public function calibration(): array
    {
        $tenths = [];
        foreach ($this->said as [$chance, $was]) {
            $tenths[min(9, (int) floor(10 * $chance))][] = [$chance, $was ? 1.0 : 0.0];
        }
        ksort($tenths);

        return array_values(array_map(
            static fn (array $all): array => [
                array_sum(array_column($all, 0)) / count($all),
                array_sum(array_column($all, 1)) / count($all),
                count($all),
            ],
            $tenths,
        ));
    }
}
