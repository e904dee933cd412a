<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\SpecVersion;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Learning\Learning;
use VividPull\Core\Wire\StandingCodec;

/**
 * What the readings of a control may be expected to do by what it taught itself, else by what other machines of its
 * model taught; these say nothing of one whose own lever was measured.
 */
final readonly class Siblings
{
    /** The latest of them: machines of one model differ little, and this is a bounded read. */
    private const MOST = 30;

    /** @return array<string, array<string, float|int>> what is known of the ratio, by reading point */
    public static function taught(Control $control): array
    {
        $own = $control->summary->handedOn->taught ?? [];
        $point = $control->spec()->aim?->point->value;
        $isKnown = $control->summary?->learned($point ?? '') !== null || $control->fitted()->hand->isOfMachine;
        if ($point === null || $isKnown) {
            return $own;
        }
        $others = self::priors($control, $point);
        unset($own[$point]);

        if ($others === []) {
            return $own;
        }
        $prior = RatioPrior::fromMachines($others, Learning::drawn($control->spec(), $control->fitted()));

        return [$point => StandingCodec::encodePrior($prior)] + $own;
    }

    /** @return list<RatioPrior> of controls of the same model that learned it themselves */
    private static function priors(Control $control, string $point): array
    {
        $versions = SpecVersion::query()
            ->where('model', $control->specVersion->model)
            ->where('control', $control->specVersion->control)
            ->pluck('id');
        $priors = [];
        foreach (Control::query()->whereIn(
            'spec_version_id',
            $versions,
        )
            ->where('id', '!=', $control->id)
            ->whereNotNull('summary')
            ->orderByDesc('updated_at')
            ->limit(self::MOST)
            ->pluck('summary') as $summary) {
            $priors[] = $summary?->learned($point);
        }

        return array_values(array_filter($priors, static fn (?RatioPrior $one): bool => $one !== null));
    }
}
