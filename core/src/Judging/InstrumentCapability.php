<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Log\Person;
use VividPull\Core\Log\Standing;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;

/** Before measuring: whether an instrument in a person's hands can decide a band at all, and with how many readings. */
final readonly class InstrumentCapability
{
    private const MOST_REPEATS = 6;

    public function __construct(
        private Standing $standing,
        private SpecBand $band,
        private DecisionRule $rule,
        private Person $by,
    ) {}

    /** The fewest readings that would call the middle of the band inside; null where even six would not. */
    public function readingsWith(Instrument $instrument): ?int
    {
        if ($this->band->high === null) {
            return 1;
        }
        $middle = ($this->band->floor() + $this->band->high) / 2;
        $pooled = $this->standing->repeatability($this->by, $instrument);
        for ($n = 1; $n <= self::MOST_REPEATS; $n++) {
            $expected = Uncertainty::expected($middle, $n, $instrument, $pooled);
            $chance = Conformity::chanceInside($middle, $expected->spread(), $this->band);
            if (Conformity::decide($middle, $chance, $this->band, $this->rule) === VerdictKind::Inside) {
                return $n;
            }
        }

        return null;
    }

    /** What to take instead; null where this instrument does. */
    public function warningOf(Instrument $instrument): ?string
    {
        if ($instrument->reach >= ($this->band->high ?? 0.0) && $this->readingsWith($instrument) !== null) {
            return null;
        }
        $better = array_filter(
            $this->standing->shelf,
            fn (Instrument $one): bool => $one->reach >= ($this->band->high ?? 0.0)
                && $this->readingsWith($one) !== null,
        );
        $instead = $better === []
            ? 'Nothing on the shelf can: borrow a finer instrument, or read at a point where play is larger.'
            : 'Take the '.array_values($better)[0]->name.'.';

        return ($instrument->reach < ($this->band->high ?? 0.0)
            ? "The {$instrument->name} does not reach across this band. "
            : "The {$instrument->name} cannot decide this band, however often it is read. ").$instead;
    }
}
