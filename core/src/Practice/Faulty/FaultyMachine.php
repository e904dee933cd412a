<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

use LogicException;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Practice\HiddenComplaint;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Spec\FamilyKey;

/**
 * A machine with one fault or two, which answers by its mechanics: what it does, what is seen where one looks, and what
 * is gone once a fault is put right. Of the search it takes only how often each fault comes in.
 */
final readonly class FaultyMachine extends HiddenComplaint
{
    private const SECOND_FAULT = 1 / 6;

    private const TRIES = 40;

    private const SEEDS = 1_000_003;

    /**
     * @param  list<string>  $faults
     * @param  list<string>  $noticed  symptoms it came in with
     * @param  array<string, string|null>  $seen  by look; null is as it should be
     */
    private function __construct(
        private FamilyKey $family,
        private int $seed,
        private array $faults,
        private array $noticed,
        private array $seen,
    ) {}

    /** @param  string|null  $fault  the one that it has; null draws it by how often each comes in */
    public static function of(FamilyKey $family, Knowledge $knowledge, int $seed, ?string $fault = null): self
    {
        $chance = new SeededChance($seed);
        $known = array_map(static fn ($symptom): string => $symptom->value, $knowledge->symptoms);
        for ($try = 0; $try < self::TRIES; $try++) {
            $faults = $fault === null ? self::drawn($family, $knowledge, $chance) : [$fault];
            $worn = self::worn($family, $seed + 7919 * $try, $faults);
            $noticed = array_values(array_intersect(self::noticed($family, $worn), $known));
            // Nobody comes in with nothing.
            if ($noticed !== []) {
                $worn->chance = $chance;

                return new self(
                    $family,
                    $seed + 7919 * $try,
                    $faults,
                    $noticed,
                    FaultyFamilies::of($family)->looks($worn) + $worn->lookedAt(),
                );
            }
        }
        throw new LogicException("{$fault} brings nothing about on {$family->value}.");
    }

    /** @return list<string> */
    private static function drawn(FamilyKey $family, Knowledge $knowledge, SeededChance $chance): array
    {
        $names = array_keys(FaultyFamilies::of($family)->faults());
        $often = array_map(
            static fn (string $fault): float => $knowledge->causes[$fault]->commonness->chance(),
            $names,
        );
        $faults = [];
        for ($many = $chance->between(0.0, 1.0) < self::SECOND_FAULT ? 2 : 1; $many > 0; $many--) {
            $draw = $chance->between(0.0, array_sum($often));
            foreach ($often as $n => $share) {
                $draw -= $share;
                if ($draw <= 0.0) {
                    $faults[] = $names[$n];
                    break;
                }
            }
        }

        return array_values(array_unique($faults));
    }

    /**
     * The same machine for the same seed, whichever of its faults it still has.
     *
     * @param  list<string>  $faults
     */
    private static function worn(FamilyKey $family, int $seed, array $faults): WornControl
    {
        $worn = new WornControl(new SeededChance($seed));
        $spoil = FaultyFamilies::of($family)->faults();
        foreach ($faults as $fault) {
            $worn->chance = new SeededChance(($seed + crc32($fault)) % self::SEEDS);
            $spoil[$fault]($worn);
        }

        return $worn;
    }

    /** @return list<string> */
    private static function noticed(FamilyKey $family, WornControl $worn): array
    {
        return array_keys(array_filter(FaultyFamilies::of($family)->notices($worn) + $worn->noticed()));
    }

    public function causes(): array
    {
        return $this->faults;
    }

    public function shows(string $check): string
    {
        return $this->seen[$check] ?? Check::RIGHT;
    }

    public function symptoms(): array
    {
        return $this->noticed;
    }

    public function isGone(array $cured): bool
    {
        $left = array_values(array_diff($this->faults, $cured));

        return array_intersect(
            self::noticed($this->family, self::worn($this->family, $this->seed, $left)),
            $this->noticed,
        ) === [];
    }
}
