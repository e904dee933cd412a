<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Drift;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;

/**
 * What it means that no plan reaches the band: first what still has room, then what is used up, and only where nothing
 * is left which part is to be suspected, and from which sum.
 */
final readonly class Limits
{
    public const FREE_FIRST = 'Free it, and say so; or replace it. Nothing is said of another part before that.';

    /** @param  list<Suspect>  $suspects  what may be at fault, cheap looks first; none where something still reaches */
    private function __construct(public string $sentence, public array $suspects) {}

    /** @param  array<string, AdjusterAdvice>  $options */
    public static function of(
        Spec $spec,
        Run $run,
        Facts $facts,
        ShiftWindow $window,
        PlanMaker $maker,
        array $options,
    ): self {
        $guided = self::guided($run);
        $unknown = array_filter(
            $run->playAdjusters(),
            static fn (Adjuster $one): bool => $facts->adjusters->at($one) === null,
        );
        $reaching = array_filter($options, static fn (AdjusterAdvice $one): bool => $one->moves());
        $sentences = self::listed([...$reaching, ...array_diff_key($options, $reaching)]);
        $tooLoose = $window->expected(0.0) > $window->band->ceiling();

        return match (true) {
            $facts->adjusters->seized !== [] && $reaching === [] => self::seized($sentences),
            $unknown !== [] => new self("{$sentences} Nothing is said of a part before that is looked at.", []),
            $guided !== [] && $reaching === [] => new self("{$sentences} ".self::guide($guided), []),
            $reaching !== [] => new self($sentences, []),
            default => self::blaming(
                self::together($spec, $window, $maker, $tooLoose),
                $sentences,
                $tooLoose ? self::tooLoose() : self::tooTight($spec),
            ),
        };
    }

    /**
     * Taut, and no adjuster has slack left to give.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    public static function ofSlack(Spec $spec, Facts $facts, array $options): self
    {
        return $facts->adjusters->seized === []
            ? self::blaming('Nothing is left to give slack with.', self::listed($options), self::tooTight($spec))
            : self::seized(self::listed($options));
    }

    public static function ofNothingToTurn(Run $run): self
    {
        return $run->has(AdjusterKind::SelfAdjuster)
            ? new self('A sprung self-adjuster finds its own setting: held slacker, it creeps back. Reset it by its steps; a manual in-line adjuster in its place gives control back. Fit that at its loosest, the cable uncut: push the wire back to gain slack, never pull against it.', [])
            : new self(
                'This cable has no adjuster. A slack one is replaced; else it is put right at the route or the mount.',
                [
                    Suspect::of('a conduit off its route', Cure::Route),
                    Suspect::of('a mount or bracket that gave way', Cure::Mount),
                    Suspect::toReplace('a cable that has stretched', Part::Cable),
                ],
            );
    }

    /** @return non-empty-list<Suspect> what holds a cable taut that was given slack enough */
    public static function stayingTaut(Spec $spec): array
    {
        return [Suspect::of('a ferrule or end half out of its seat', Cure::Ferrule), ...self::tooTight($spec)];
    }

    private static function seized(string $sentences): self
    {
        return new self(
            "{$sentences} ".self::FREE_FIRST,
            [Suspect::of('the adjuster that will not turn', Cure::Freed)],
        );
    }

    /** @param  list<Suspect>  $suspects */
    private static function blaming(string $why, string $sentences, array $suspects): self
    {
        return new self("{$why} Suspect ".Suspect::listed($suspects).". {$sentences}", $suspects);
    }

    /** @return list<Suspect> what is cheap to look at first */
    private static function tooLoose(): array
    {
        return [
            Suspect::of('a conduit out of its seat', Cure::Ferrule),
            Suspect::toReplace('a stretched or wrong cable', Part::Cable),
        ];
    }

    /** @return list<Suspect> what it means when no adjuster can give the slack that is wanted */
    private static function tooTight(Spec $spec): array
    {
        return match (Families::of($spec->family)->drift()) {
            Drift::ShrinksPlay => [
                Suspect::toReplace('worn plates or lining', Part::Plates),
                Suspect::toReplace('a wrong or short cable', Part::Cable),
                Suspect::of('a part at the working end put together wrongly'),
            ],
            Drift::GrowsPlay => [
                Suspect::of('a trapped conduit', Cure::Route),
                Suspect::of('a bent bracket', Cure::Mount),
                Suspect::toReplace('a wrong or short cable', Part::Cable),
            ],
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
                static fn (Adjuster $one): bool => $facts->adjusters->at($one) === null,
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
            array_map(static fn (AdjusterAdvice $one): string => ucfirst($one->sentence), array_values($options)),
        );
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
