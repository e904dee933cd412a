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
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** After turning to and fro: what is suspected, and what one measurement would settle it. */
final readonly class Suspicion
{
    private function __construct(public string $sentence, public ?SettledBy $settledBy = null) {}

    public static function of(Spec $spec, Run $run, Facts $facts, Beliefs $beliefs, Judgement $judgement): self
    {
        $suspected = self::suspected($spec, $run, $facts, $beliefs, $judgement);

        return new self("Turned to and fro, and not settled. {$suspected->sentence}", $suspected->settledBy);
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
            $beliefs->surprises !== [] => new self(
                'Something slips: mark the lock nut and the ferrule with a pen, pull it fully three times, and see which mark has moved.',
            ),
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
