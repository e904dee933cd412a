<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** Where turning on leads nowhere: what is suspected, and what one measurement would settle it. */
final readonly class Suspicion
{
    /**
     * So much slack given to a cable that stays taut is hardly a setting, and so much is none, in mm of conduit: twice
     * and five times what one is usually too short by (ours).
     */
    private const HARDLY_TAUT = 5.0;

    private const NEVER_TAUT = 12.5;

    /** Turns add up to no less than that, in mm. */
    private const NOTHING = 1e-6;

    /** What went astray so often in a row was not misread (ours). */
    private const ASTRAY = 2;

    /** Less than that of what was to come is none, and so much the other way is no mark of a rule (ours). */
    private const FOLLOWED = 0.5;

    private const OTHER_WAY = -0.25;

    /** The adjusters have room past the band. */
    public const UNLIKELY = 'No turn is likely to end inside the band.';

    private const SLIPS = 'Something slips or hangs: mark the lock nut and the ferrule with a pen, pull it fully three times, and see which mark has moved.';

    /** @param  list<Suspect>  $suspects  where it is looked for, the likeliest first */
    private function __construct(
        public string $sentence,
        public ?SettledBy $settledBy = null,
        public array $suspects = [],
    ) {}

    /** @param  string  $because  a sentence: why nothing is turned on */
    public static function of(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        string $because,
    ): self {
        $suspected = self::suspected($spec, $run, $facts, $beliefs, $judgement);

        return new self("{$because} {$suspected->sentence}", $suspected->settledBy, $suspected->suspects);
    }

    /** What is turned is not followed by the play; null where it is, as far as anybody can tell. */
    public static function ofNotFollowing(Beliefs $beliefs): ?self
    {
        $isAstray = count($beliefs->astray) >= self::ASTRAY;
        $most = $isAstray ? max($beliefs->astray) : 0.0;

        return match (true) {
            $isAstray && $most < self::OTHER_WAY => new self(
                'Two moves in a row went the other way. See which adjuster was turned, and which way: if it was turned as shown, the spec of this control has its way wrong.',
            ),
            $isAstray => new self(
                ($most < self::FOLLOWED ? 'Two moves in a row were not followed by the play. '
                    : 'Two moves in a row did not do what a turn does. ').self::SLIPS,
                null,
                Suspect::ofNotFollowing(),
            ),
            $beliefs->play->hardlyFollows() => new self(
                'Turning hardly moves the play. See which adjuster was turned. '.self::SLIPS,
                null,
                Suspect::ofNotFollowing(),
            ),
            default => null,
        };
    }

    /** Slack was given again and again, and the cable is still taut; null where that may be no more than a setting. */
    public static function ofStayingTaut(Spec $spec, Facts $facts, Beliefs $beliefs): ?self
    {
        $given = self::slackGiven($facts);

        return self::isLess($given, self::NEVER_TAUT, $beliefs) ? null : new self(
            Figure::length($given).' of slack was given, and it still reads nothing. No setting is so far off.',
            null,
            Limits::stayingTaut($spec),
        );
    }

    /** What is said beside giving more slack to a cable that stays taut; null where it was given little. */
    public static function besideSlack(Spec $spec, Facts $facts, Beliefs $beliefs): ?string
    {
        $given = self::slackGiven($facts);

        return self::isLess($given, self::HARDLY_TAUT, $beliefs) ? null
            : Figure::length($given).' of slack was given, and it still reads nothing: look for '
                .Suspect::listed(Limits::stayingTaut($spec)).', before more is given.';
    }

    /** Whether so much slack may be less than that; the less is known of the ratio, the more it takes. */
    private static function isLess(float $given, float $limit, Beliefs $beliefs): bool
    {
        return $given < $limit * exp($beliefs->play->taught()->spread) - self::NOTHING;
    }

    /** Since what is read now compares, in mm of conduit. */
    private static function slackGiven(Facts $facts): float
    {
        return $facts->readings->slack - ($facts->readings->firstOfSeries()->at->slack ?? $facts->readings->slack);
    }

    private static function suspected(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
    ): self {
        $sides = $beliefs->play->sides();
        $ratio = RatioFinding::of($spec, $run, $beliefs);
        $group = $judgement->nowGroup;
        $band = $spec->play()->band;
        $apart = $judgement->sweep->takesMostOf($band);

        return match (true) {
            $apart !== null => self::ofTheRoute($apart, $band),
            $sides->areKnown() => new self(
                'It reads '.Figure::length(abs($sides->apart))
                    .' otherwise when come from the other side: a dry wire that sticks, or lost motion in a thread. Oil the wire, hold the adjuster while it is locked, and read it twice with no turn between.',
                SettledBy::Oiled,
            ),
            $ratio !== null => new self($ratio->sentence, $ratio->settledBy),
            $group !== null && self::isCoarse($group, $band)
                && $facts->standing->finerThan($group->instrument, $group->found->mean) !== [] => new self(
                    'The readings are known to ± '.Figure::length($group->found->expanded()).', and the band is '.Figure::length($band->width())
                        .' wide: read it with a finer instrument before anything is turned again.',
                    SettledBy::Finer,
                ),
            $beliefs->surprises !== [] => new self(self::SLIPS, null, Suspect::ofNotFollowing()),
            self::tellsOfTheRatio($spec, $run) => new self(self::measure($run->hand->kind), SettledBy::Hand),
            default => new self(
                'Look for play that changes by itself: a loose lock nut, a ferrule half out of its seat, a conduit that moves.',
            ),
        };
    }

    /** Whether what was read is known so badly that it led to turning to and fro. */
    public static function isCoarse(ReadingGroup $group, SpecBand $band): bool
    {
        return $group->found->expanded() > $band->width() / 3;
    }

    /** Whether the distances of the hand control would tell what is not known yet. */
    private static function tellsOfTheRatio(Spec $spec, Run $run): bool
    {
        $point = $spec->play()->point;

        return $run->hand->measurable($point) !== []
            && ($run->couplings->at($point)->knowledge ?? Knowledge::Default) !== Knowledge::Measured;
    }

    /** Poses that lie further apart than the band is wide. */
    public static function ofEverySetting(): self
    {
        return new self(
            'Play changes more from pose to pose than the band is wide: no setting can be right in all of them. Look for a trapped or wrongly routed cable.',
            SettledBy::Route,
        );
    }

    /**
     * Poses that lie so far apart that hardly any setting is right in all of them.
     *
     * @param  float  $apart  mm of play
     */
    public static function ofTheRoute(float $apart, SpecBand $band): self
    {
        return new self(
            'Play changes by '.Figure::length($apart).' as the bars turn, and the band is '
            .Figure::length($band->width())
            .' wide: hardly any setting is inside in every pose. Look for a trapped or wrongly routed cable before anything is turned again.',
            SettledBy::Route,
        );
    }

    /** What of the hand control tells how far play moves by one turn. */
    private static function measure(HandKind $hand): string
    {
        return $hand === HandKind::Grip
            ? 'Measure the two radii of the grip, of its drum and of its flange: they tell what one turn does.'
            : "Measure the two distances of the {$hand->value}, pivot to wire and pivot to reading point: they tell what one turn does.";
    }
}
