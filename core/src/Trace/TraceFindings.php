<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Quantity\Figure;

/** What a trace tells, in the order in which it matters, in sentences. */
final readonly class TraceFindings
{
    /**
     * @param  string|null  $wanted  what the spec asks of the play where the travel was measured
     * @return list<TraceFinding> the play first; what cannot be told is said as such
     */
    public static function of(TraceReading $read, WorkingEnd $end, ?LeverPull $fresh, ?string $wanted = null): array
    {
        return array_values(array_filter([
            self::play($read, $wanted),
            self::reached($read, $end),
            self::friction($read, $fresh),
            self::heaviest($read),
            self::letsGo($read, $end),
            ...array_map(self::snag(...), $read->snags()),
        ], static fn (?TraceFinding $one): bool => $one !== null));
    }

    private static function play(TraceReading $read, ?string $wanted): TraceFinding
    {
        $label = 'Free play ends at';
        if ($read->play() !== null) {
            return new TraceFinding(
                'play',
                $label,
                Figure::length($read->play(), 2)->bare().' ± '.Figure::length((float) $read->expanded(), 2),
                'From rest to where the force begins to grow.'.($wanted === null ? '' : " The spec wants {$wanted}."),
                false,
            );
        }

        if ($read->trace->isSteady && $read->light() !== null) {
            return new TraceFinding(
                'play',
                $label,
                'about '.Figure::length($read->light()),
                'By time, as of a steady hand: where it ends is no reading. Read the play by hand.',
                false,
            );
        }

        return $read->light() === null
            ? new TraceFinding(
                'play',
                $label,
                'not seen',
                'The pull is not light at first and heavier then, or too few points show it. Read the play by hand.',
                false,
            )
            : new TraceFinding(
                'play',
                $label,
                'can\'t tell',
                'It is light up to '.Figure::length($read->light())
                    .', and no return spring shows behind that. What is light may be the spring: read the play by hand.',
                false,
            );
    }

    private static function reached(TraceReading $read, WorkingEnd $end): ?TraceFinding
    {
        if (! $end->isBehindReturnSpring()) {
            return null;
        }
        $from = $read->phases->first(PhaseKind::Working, PhaseKind::Plateau);
        $label = ucfirst($end->label()).' reached';

        return match ($read->reached) {
            Reached::Yes => new TraceFinding(
                'reached',
                $label,
                $from === null ? 'yes' : 'yes, at '.Figure::length($from->from),
                'Behind the return spring it gets much heavier, as it should.',
                false,
            ),
            Reached::ReturnOnly => new TraceFinding('reached', $label, 'no', $end->unreached(), true),
            Reached::CannotTell => new TraceFinding(
                'reached',
                $label,
                'can\'t tell',
                'Pull it as far as it goes, or have a new cable\'s pull on its spec to hold it against.',
                false,
            ),
        };
    }

    private static function friction(TraceReading $read, ?LeverPull $fresh): ?TraceFinding
    {
        $label = 'Lost to friction';
        if ($read->loop === null) {
            return $read->loopProblem === null
                ? null
                : new TraceFinding('friction', $label, 'can\'t tell', $read->loopProblem, false);
        }
        $lost = self::lost($read->loop);
        if ($fresh === null) {
            return new TraceFinding(
                'friction',
                $label,
                "{$lost} %",
                'No figure of a new cable is on file to hold it against.',
                false,
            );
        }
        $isDry = $fresh->isDrier($read->loop->efficiency());

        return new TraceFinding(
            'friction',
            $label,
            "{$lost} %",
            'A new cable loses '.self::lost($fresh).' %.'
                .($isDry ? ' The drag is in the run: oil it and pull again; damage replaces it.' : ' As it should be.'),
            $isDry,
        );
    }

    private static function lost(LeverPull $pull): int
    {
        return (int) round(100 * (1.0 - $pull->efficiency()));
    }

    private static function heaviest(TraceReading $read): TraceFinding
    {
        $stop = $read->phases->first(PhaseKind::EndStop);

        return new TraceFinding(
            'heaviest',
            'Heaviest',
            Figure::force($read->heaviest->toN).' at '.Figure::length($read->heaviest->to),
            $stop === null
                ? 'As far as it was pulled.'
                : 'Before the stop, which begins at '.Figure::length($stop->from).'.',
            false,
        );
    }

    private static function letsGo(TraceReading $read, WorkingEnd $end): ?TraceFinding
    {
        if ($read->letsGo === null || $end !== WorkingEnd::ClutchSprings || $read->reached !== Reached::Yes) {
            return null;
        }
        $farthest = $read->phases->first(PhaseKind::EndStop)->from ?? $read->heaviest->to;
        $share = (int) round(100 * (1.0 - $read->letsGo->to / max($farthest, 1e-9)));

        return new TraceFinding(
            'bite',
            'Bites on the way back',
            Figure::length($read->letsGo->to).' to '.Figure::length($read->letsGo->from),
            "After {$share} % of the way out, where the clutch springs leave the cable and clamp the plates.",
            false,
        );
    }

    private static function snag(Snag $snag): TraceFinding
    {
        return new TraceFinding(
            'snag',
            $snag->newtons > 0.0 ? 'Catches' : 'Slips',
            'at '.Figure::length($snag->atMm),
            'The force jumps by '.Figure::force(abs($snag->newtons))
                .' and comes back: a strand, a kink or grit. Look along the wire there.',
            true,
        );
    }
}
