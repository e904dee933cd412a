<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Spec\SettingMode;

/** What a plan costs, the weightiest criterion first. Two plans differ at the first of these that differs. */
final readonly class PlanCost
{
    /** The most a criterion can come to, in whole units of its own: places for it in the rank. */
    private const PLACES = [
        'unhealthy' => 100,
        'bare' => 100,
        'unparked' => 10_000_000,
        'minutes' => 100_000,
        'touched' => 100,
    ];

    private const ORDER = [
        'touch_up' => ['unhealthy', 'bare', 'minutes', 'touched'],
        'service' => ['unhealthy', 'bare', 'unparked', 'minutes', 'touched'],
    ];

    private function __construct(
        private SettingMode $mode,
        private int $unhealthy,
        private int $bare,
        private int $unparked,
        /** Tenths of a minute. */
        private int $minutes,
        private int $touched,
        /** All criteria in one number, so that plans are sorted by it. */
        public int $rank,
    ) {}

    /**
     * Touch-up: healthy zones, reserve, minutes to reach, adjusters touched. Service opens the covers anyway and brings
     * the adjuster in reach to its parking place, so parking comes before the minutes there.
     *
     * @param  list<EqualCostRange>  $ranges  one an adjuster
     */
    public static function of(SettingMode $mode, array $ranges, float $minutes): self
    {
        $sums = [
            'unhealthy' => 0,
            'bare' => 0,
            'unparked' => 0,
            'minutes' => (int) round(10 * $minutes),
            'touched' => 0,
        ];
        foreach ($ranges as $range) {
            $sums['unhealthy'] += $range->unhealthy;
            $sums['bare'] += $range->withoutReserve;
            $sums['unparked'] += $range->unparked;
            $sums['touched'] += $range->touched;
        }
        $rank = 0;
        foreach (self::ORDER[$mode->value] as $name) {
            $rank = $rank * self::PLACES[$name] + min(self::PLACES[$name] - 1, $sums[$name]);
        }

        return new self(
            $mode,
            $sums['unhealthy'],
            $sums['bare'],
            $sums['unparked'],
            $sums['minutes'],
            $sums['touched'],
            $rank,
        );
    }

    /** Why this plan and not the other, as a person would say it. */
    public function whyNot(self $other): string
    {
        return match (true) {
            $this->unhealthy < $other->unhealthy => 'it leaves fewer adjusters outside their healthy zone',
            $this->bare < $other->bare => 'it keeps more in reserve for the way this control drifts',
            $this->mode === SettingMode::Service && $this->unparked < $other->unparked => 'it leaves the adjuster in reach nearer to its parking place',
            $this->minutes < $other->minutes => 'it takes '.round(($other->minutes - $this->minutes) / 10)
                .' min less to reach',
            $this->touched < $other->touched => 'it turns fewer adjusters',
            default => 'it lands nearer to the target, or turns less',
        };
    }
}
