<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Quantity\Figure;

/**
 * Whether a new cable fits before it is fitted, from the old one beside it.
 *
 * Wire and conduit are two lengths, and for slack only their difference matters: with the far end seated and the
 * adjusters in, a new cable whose wire shows d more than the old one's has d more slack. The conduit's own length
 * decides the route from lock to lock, and the ends must be of one kind. All in mm at the wire.
 */
final readonly class CableMatch
{
    /** A conduit shorter than the old one by more than this pulls tight on its route (ours). */
    private const CONDUIT_SHORT = 10.0;

    /** Wires that show alike within this, in mm, are of one length by a rule beside them (ours). */
    private const ALIKE = 1.0;

    private const NOT_KNOWN = 'What the old cable had is not known. Hook both ends with the adjusters in: '
        .'neither may pull the control, and some play must be left to take up.';

    private const MEASURE_FIRST = 'Measure it before anything comes off; else hook both ends with the adjusters in: '
        .'neither may pull the control.';

    private const A_LITTLE_SHORT = 'A little short: with the adjusters all the way in it is inside the band, '
        .'but nothing is left to slacken with.';

    private const ALIKE_SAYS = 'It shows as much wire as the old one did: where that could be set, this one can.';

    private function __construct(
        public MatchVerdict $verdict,
        public string $sentence,
        /** With the adjusters in. */
        public ?float $slackIn,
        /** What the adjusters must take up for the target. */
        public ?float $takeUp,
        /** Take-up left after that, for stretch. */
        public ?float $reserve,
        public ?float $conduitDifference,
    ) {}

    /**
     * @param  array{float, float}|null  $oldSlackIn  the least and the most slack the old cable can have had with the
     *     adjusters in; null where none was read
     * @param  list<string>  $unmeasured  adjusters that would have to be measured to know it better
     * @param  float  $takes  slack that all adjusters together can take up from there
     * @param  float  $healthy  the part of it within which none leaves its healthy zone
     * @param  float  $stretch  take-up that should be left for the cable to stretch
     * @param  float  $low  least slack that the band allows
     * @param  float|null  $high  most slack that it allows; null without end
     * @param  float  $target  slack aimed for
     */
    public static function of(
        CableComparison $sizes,
        ?array $oldSlackIn,
        array $unmeasured,
        float $takes,
        float $healthy,
        float $stretch,
        float $low,
        ?float $high,
        float $target,
    ): self {
        $conduit = self::conduit($sizes);
        $said = static fn (MatchVerdict $is, string $why): self => new self($is, $why, null, null, null, $conduit);
        if (! $sizes->endsAlike) {
            return $said(MatchVerdict::DoesNotFit, 'Its ends are of another kind.');
        }
        if ($conduit !== null && $conduit < -self::CONDUIT_SHORT) {
            return $said(
                MatchVerdict::DoesNotFit,
                'Its conduit is '.Figure::length(-$conduit).' shorter: the route would pull tight from lock to lock.',
            );
        }
        if ($sizes->oldWire !== null && $oldSlackIn === null && $high !== null) {
            return self::withoutReading($sizes->newWire - $sizes->oldWire, $takes, $low, $high, $conduit);
        }
        if ($sizes->oldWire === null || $oldSlackIn === null) {
            return $said(MatchVerdict::CannotTell, self::NOT_KNOWN);
        }
        $difference = $sizes->newWire - $sizes->oldWire;
        $rest = [$takes, $healthy, $stretch, $low, $high, $target, $conduit];
        $least = self::judged($oldSlackIn[0] + $difference, ...$rest);
        $most = self::judged($oldSlackIn[1] + $difference, ...$rest);

        return match (true) {
            $oldSlackIn[1] - $oldSlackIn[0] < 1e-9 => $least,
            abs($difference) < self::ALIKE => $said(MatchVerdict::Fits, self::ALIKE_SAYS),
            default => $said(...self::either($least, $most, implode(' and the ', $unmeasured))),
        };
    }

    /** By how much its conduit is the longer; null where one of them was not measured. */
    private static function conduit(CableComparison $sizes): ?float
    {
        return $sizes->oldConduit === null || $sizes->newConduit === null
            ? null
            : $sizes->newConduit - $sizes->oldConduit;
    }

    /** @return array{MatchVerdict, string} where nobody knows which of the two it is */
    private static function either(self $least, self $most, string $unmeasured): array
    {
        return match (true) {
            $least->verdict !== $most->verdict => [
                MatchVerdict::CannotTell,
                "It depends on where the {$unmeasured} stood. ".self::MEASURE_FIRST,
            ],
            $least->verdict === MatchVerdict::DoesNotFit => [$least->verdict, $most->sentence],
            default => [$least->verdict, "It fits wherever the {$unmeasured} stood."],
        };
    }

    /**
     * The same lengths, with what is still to be looked at: one that would fit is then not told to.
     *
     * @param  list<string>  $doubts  sentences
     */
    public function unless(array $doubts): self
    {
        if ($doubts === [] || $this->verdict === MatchVerdict::DoesNotFit) {
            return $this;
        }
        $lengths = $this->verdict === MatchVerdict::CannotTell
            ? $this->sentence
            : "By its wire it fits. {$this->sentence}";

        return new self(
            MatchVerdict::CannotTell,
            implode(' ', [$lengths, ...$doubts]),
            $this->slackIn,
            $this->takeUp,
            $this->reserve,
            $this->conduitDifference,
        );
    }

    /**
     * The old cable broke, or was gone before it was read. One that could once be set had, with the adjusters in, at
     * least the least slack of the band and at most its most with all of the take-up used: what no such cable leaves
     * fitting is refused.
     */
    private static function withoutReading(
        float $difference,
        float $takes,
        float $low,
        float $high,
        ?float $conduit,
    ): self {
        $least = $low + $difference;
        $most = $high + $takes + $difference;
        $size = (string) Figure::length(abs($difference));

        return match (true) {
            $most < $low => new self(MatchVerdict::DoesNotFit,
                "Its wire shows {$size} less than the old one's. However the old one was set, this one is too short.",
                null, null, null, $conduit),
            $least - $takes > $high => new self(MatchVerdict::DoesNotFit,
                "Its wire shows {$size} more than the old one's. However the old one was set, the adjusters cannot take that up.",
                null, null, null, $conduit),
            abs($difference) < self::ALIKE => new self(
                MatchVerdict::Fits,
                self::ALIKE_SAYS,
                null,
                null,
                null,
                $conduit,
            ),
            default => new self(
                MatchVerdict::CannotTell,
                "Its wire shows {$size} ".($difference < 0.0 ? 'less' : 'more')
                    ." than the old one's, and nobody read how that was set. Hook both ends with the adjusters in: neither may pull the control, and some play must be left to take up.",
                null,
                null,
                null,
                $conduit,
            ),
        };
    }

    private static function judged(
        float $slackIn,
        float $takes,
        float $healthy,
        float $stretch,
        float $low,
        ?float $high,
        float $target,
        ?float $conduit,
    ): self {
        $takeUp = max(0.0, min($takes, $slackIn - $target));
        $reserve = $takes - $takeUp;
        [$verdict, $sentence] = match (true) {
            $slackIn < 0.0 => [
                MatchVerdict::DoesNotFit,
                'Too short by '.Figure::length($low - $slackIn)
                    .': with the adjusters in, its ends hook only by pulling the control.',
            ],
            $slackIn < $low => [
                MatchVerdict::DoesNotFit,
                'Too short by '.Figure::length($low - $slackIn).': even with the adjusters in it is too tight.',
            ],
            $high !== null && $slackIn - $takes > $high => [
                MatchVerdict::DoesNotFit,
                'Too long by '.Figure::length($slackIn - $takes - $high).': the adjusters together cannot take it up.',
            ],
            $slackIn < $target => [MatchVerdict::AtItsEnd, self::A_LITTLE_SHORT],
            $takeUp > $healthy || $reserve < $stretch => [
                MatchVerdict::AtItsEnd,
                'Long: it lands near the end of its thread, with '.Figure::length($reserve).' left for stretch.',
            ],
            default => [
                MatchVerdict::Fits,
                'It takes '.Figure::length($takeUp).' of take-up and leaves '.Figure::length($reserve).' for stretch.',
            ],
        };

        return new self($verdict, $sentence, $slackIn, $takeUp, $reserve, $conduit);
    }
}
