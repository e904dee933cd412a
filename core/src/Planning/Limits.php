<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Drift;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;

/**
 * What it means that no plan reaches the band: first what still has room, then what is used up, and only where nothing
 * is left which part is to be suspected, and from which sum.
 */
final readonly class Limits
{
    public const FREE_FIRST = 'Free it, and say so; or replace it. Nothing is said of another part before that.';

    /** @param  array<string, AdjusterAdvice>  $options */
    public static function said(
        Spec $spec,
        Run $run,
        Facts $facts,
        ShiftWindow $window,
        PlanMaker $maker,
        array $options,
    ): string {
        $guided = self::guided($run);
        $unknown = array_filter(
            $run->playAdjusters(),
            static fn (Adjuster $one): bool => ($facts->adjusters->positions[$one->id()] ?? null) === null,
        );
        $reaching = array_filter($options, static fn (AdjusterAdvice $one): bool => $one->moves());
        $sentences = self::listed([...$reaching, ...array_diff_key($options, $reaching)]);
        $tooLoose = $window->expected(0.0) > $window->band->ceiling();

        return match (true) {
            $facts->adjusters->seized !== [] && $reaching === [] => "{$sentences} ".self::FREE_FIRST,
            $unknown !== [] => "{$sentences} Nothing is said of a part before that is looked at.",
            $guided !== [] && $reaching === [] => "{$sentences} ".self::guide($guided),
            $reaching !== [] => $sentences,
            default => "{$sentences} ".self::together($spec, $window, $maker, $tooLoose)
                .($tooLoose
                    ? ' Suspect a stretched or wrong cable, or a conduit out of its seat.'
                    : ' '.self::tooTight($spec)),
        };
    }

    /**
     * Whether the adjusters have room enough past the band and still no turn is likely to end in it: then no thread is
     * the limit.
     */
    public static function areFar(Run $run, Facts $facts, ShiftWindow $window, PlanMaker $maker): bool
    {
        $isKnown = $facts->adjusters->seized === []
            && array_filter(
                $run->playAdjusters(),
                static fn (Adjuster $one): bool => ($facts->adjusters->positions[$one->id()] ?? null) === null,
            ) === [];
        $tooLoose = $window->expected(0.0) > $window->band->ceiling();
        $end = $window->expected($maker->most($tooLoose));

        return $isKnown && ($tooLoose ? $end < $window->band->floor() : $end > $window->band->ceiling());
    }

    /** @param  array<string, AdjusterAdvice>  $options */
    public static function listed(array $options): string
    {
        return implode(
            ' ',
            array_map(static fn (AdjusterAdvice $advice): string => $advice->sentence, array_values($options)),
        );
    }

    /** What it means when no adjuster can give the slack that is wanted. */
    public static function tooTight(Spec $spec): string
    {
        return match (Families::of($spec->family)->drift()) {
            Drift::ShrinksPlay => 'Nothing left to give slack with: suspect worn plates or lining, a wrong or short cable, or a part at the working end put together wrongly.',
            Drift::GrowsPlay => 'Nothing left to give slack with: suspect a wrong or short cable, a trapped conduit or a bent bracket.',
        };
    }

    private static function together(Spec $spec, ShiftWindow $window, PlanMaker $maker, bool $tooLoose): string
    {
        $best = max(0.0, $window->expected($maker->most($tooLoose)));
        [$edge, $own] = $tooLoose
            ? [$window->band->ceiling(), $spec->play()->band->ceiling()]
            : [$window->band->floor(), $spec->play()->band->floor()];

        return 'With every adjuster at its safe end it would still read about '.Figure::length($best).', and '
            .($edge === $own
            ? 'the band '.($tooLoose ? 'ends' : 'begins').' at '.Figure::length($edge)->bare().'.'
            : 'for the other poses to be inside it has to be '.($tooLoose ? 'at most ' : 'at least ')
                .Figure::length($edge)->bare().' straight.');
    }

    /** @param  non-empty-list<Adjuster>  $guided */
    private static function guide(array $guided): string
    {
        $names = implode(' or the ', array_map(static fn (Adjuster $one): string => $one->name(), $guided));

        return "The {$names} can still be set: give the cable full slack, then take it by its steps. A part is suspected only after that.";
    }

    /** @return list<Adjuster> what is set by steps of its own and could still be */
    private static function guided(Run $run): array
    {
        return array_values(array_filter(
            $run->adjusters(),
            static fn (Adjuster $one): bool => Guide::of($one->kind()) !== [],
        ));
    }
}
