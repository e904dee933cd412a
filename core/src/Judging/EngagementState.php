<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Drift;
use VividPull\Core\Family\Families;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Repeated;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\EngagementWindow;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/**
 * A drive's handle from rest to full drive, as last read: first motion, full drive, and the margins to either side. In
 * mm of handle travel.
 */
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

    public static function of(Spec $spec, Facts $facts, Judgement $judgement): ?self
    {
        $window = $spec->other(EngagementWindow::class);
        $band = $spec->aim?->band;
        if ($window === null || $band === null) {
            return null;
        }
        $found = ($judgement->nowGroup ?? ($facts->readings->isChanged() ? null : $judgement->foundGroup))?->found;
        $first = $found?->mean;
        $values = Measuring::current($facts, MeasureKey::FullDrive);
        $repeated = $values === [] ? null : Repeated::of(MeasureKey::FullDrive, $values);
        $full = $repeated?->mean;
        $low = $first === null ? null : $first - $band->floor();
        $high = $first === null || $band->high === null ? null : $band->high - $first;
        $reserve = match (Families::of($spec->family)->drift()) {
            Drift::GrowsPlay => $high,
            Drift::ShrinksPlay => $low,
        };

        $starts = $found === null ? [null, null] : [
            Conformity::chanceInside($found->mean, $found->spread(), SpecBand::between($band->floor(), null)),
            $band->high === null
                ? 1.0
                : Conformity::chanceInside($found->mean, $found->spread(), SpecBand::between(null, $band->high)),
        ];
        $drives = $repeated === null
            ? null
            : Conformity::chanceInside($repeated->mean, $repeated->spread(), $window->band());

        return new self(
            $window->fullByMm,
            $first,
            $full,
            $low,
            $high,
            $reserve,
            self::said($first, $full, $window->fullByMm, [$low, $starts[0]], [$high, $starts[1]], $drives, $reserve),
        );
    }

    /**
     * What was read says it only with 95 % confidence (ISO 14253-1); between, the chance is told.
     *
     * @param  array{float|null, float|null}  $low  margin to the lower edge, and the chance of being above it
     * @param  array{float|null, float|null}  $high  margin to the upper edge, and the chance of being below it
     */
    private static function said(
        ?float $first,
        ?float $full,
        float $fullBy,
        array $low,
        array $high,
        ?float $drives,
        ?float $reserve,
    ): string {
        $share = static fn (?float $chance): string => (int) floor(100 * ($chance ?? 0.0)).' %';
        $sure = DecisionRule::CONFIDENCE;
        [[$early, $isNotEarly], [$late, $isNotLate]] = [$low, $high];
        $mm = static fn (float $value): string => (string) Figure::length($value);

        return match (true) {
            $first === null => 'Read the handle travel to first motion.',
            $full !== null && $full <= $first => 'Full drive cannot come before first motion: read both again.',
            $early !== null && $isNotEarly <= 1 - $sure => "First motion {$mm(-$early)} too early: it may creep at rest.",
            $late !== null && $isNotLate <= 1 - $sure => "First motion {$mm(-$late)} too late.",
            $full !== null && $drives <= 1 - $sure => "Full drive comes {$mm($full - $fullBy)} after the handle's end: it slips.",
            $isNotEarly < $sure => "Can't tell that it rests: first motion at {$mm($first)}, {$share($isNotEarly)} chance that it is not too early. Read it again, or give it slack.",
            $isNotLate < $sure => "Can't tell that it starts in time: first motion at {$mm($first)}, {$share($isNotLate)} chance that it is not too late. Read it again, or take slack up.",
            $full !== null && $drives < $sure => "Can't tell that it drives fully: at {$mm($full)} of {$mm($fullBy)}, {$share($drives)} chance. Read it again, or take slack up.",
            default => 'First motion inside its window'
                .($reserve === null ? '.' : "; {$mm($reserve)} left on the side it wears to."),
        };
    }
}
