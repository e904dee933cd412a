<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Family\Drift;
use VividPull\Core\Measurement\MeasureKey;
use VividPull\Core\Measurement\Repeated;
use VividPull\Core\Spec\EngagementWindow;

/** A drive's handle from rest to full drive, as last read: first motion, full drive, and the margins to either side. In mm of handle travel. */
final readonly class EngagementState
{
    private function __construct(
        public float $fullBy,
        public ?float $first,
        public ?float $full,
        /** From the lower edge to first motion. */
        public ?float $marginLow,
        /** From first motion to the upper edge. */
        public ?float $marginHigh,
        /** The margin on the side this drive wears to. */
        public ?float $reserve,
        public string $sentence,
    ) {}

    public static function of(BenchState $state): ?self
    {
        $window = $state->spec->other(EngagementWindow::class);
        $band = $state->spec->aim?->band;
        if ($window === null || $band === null) {
            return null;
        }
        $first = ($state->judgement->nowGroup ?? ($state->facts->isChanged() ? null : $state->judgement->foundGroup))?->found->mean;
        $values = Measuring::current($state->facts, MeasureKey::FullDrive);
        $full = $values === [] ? null : Repeated::of(MeasureKey::FullDrive, $values)->mean;
        [$low, $high] = [$first === null ? null : $first - $band->floor(), $first === null || $band->high === null ? null : $band->high - $first];
        $reserve = match ($state->spec->family->family()->drift()) {
            Drift::GrowsPlay => $high,
            Drift::ShrinksPlay => $low,
        };

        return new self($window->fullByMm, $first, $full, $low, $high, $reserve, self::said($first, $full, $window->fullByMm, $low, $high, $reserve));
    }

    private static function said(?float $first, ?float $full, float $fullBy, ?float $low, ?float $high, ?float $reserve): string
    {
        $mm = static fn (float $value): string => number_format($value, 1, '.', '').' mm';

        return match (true) {
            $first === null => 'Read the handle travel to first motion.',
            $low !== null && $low < 0.0 => "First motion {$mm(-$low)} too early: it may creep at rest.",
            $high !== null && $high < 0.0 => "First motion {$mm(-$high)} too late.",
            $full !== null && $full > $fullBy => "Full drive comes {$mm($full - $fullBy)} after the handle's end: it slips.",
            $full !== null && $full <= $first => 'Full drive cannot come before first motion: read both again.',
            default => 'First motion inside its window'.($reserve === null ? '.' : "; {$mm($reserve)} left on the side it wears to."),
        };
    }
}
