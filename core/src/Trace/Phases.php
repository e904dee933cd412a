<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * The straight pieces of a pull, named: what is light at the beginning is free play, the steepest piece before a softer
 * one is the take-up, what is steepest of all at the end is the stop. The bounds are ours; they are held to levers with
 * known breaks.
 */
final readonly class Phases
{
    /** A piece is the stop where it is this many times as steep as the one before it. */
    private const STOP = 2.5;

    /** A piece is the take-up where it is this many times as steep as what follows, */
    private const TAKE_UP = 1.6;

    /** ... and takes up this share of the heaviest. */
    private const TAKES_UP = 0.15;

    /** A knot bends the curve by so many N at least, */
    private const BENDS = 0.2;

    /** ... and by this share of the heaviest. */
    private const BENDS_SHARE = 0.004;

    /** Where free play ends, the force grows this many times as fast as before, */
    private const GROWS = 2.0;

    /** ... and has not yet come to this share of the heaviest, */
    private const STILL_LIGHT = 0.6;

    /** ... within this share of the travel. */
    private const STILL_EARLY = 0.6;

    /** The first touch of the gauge: so short a piece, in shares of the travel. */
    private const TOUCH = 0.06;

    /** A piece that grows by less than this share of the heaviest is level. */
    private const LEVEL = 0.06;

    /** @param  list<Phase>  $all */
    private function __construct(
        public array $all,
        /** Which inner knot of the line the free play ends at; null where it is not seen to end. */
        public ?int $playKnot,
    ) {}

    /** @param  bool  $isToStop  whether it was pulled as far as it goes: else a steep end is no stop */
    public static function of(BrokenLine $line, float $rest, WorkingEnd $end, bool $isToStop): self
    {
        [$pieces, $knots] = self::pieces($line, $rest);
        $stop = $isToStop ? self::stop($pieces) : null;
        $inner = $stop === null ? count($pieces) : $stop;
        $play = self::play($pieces, $inner);
        $phases = [];
        foreach ($pieces as $place => $piece) {
            $phases[] = $piece->as(match (true) {
                $play !== null && $place < $play => PhaseKind::FreePlay,
                $stop !== null && $place >= $stop => PhaseKind::EndStop,
                default => PhaseKind::Working,
            });
        }
        $from = $play ?? 0;
        array_splice($phases, $from, $inner - $from, self::working(array_slice($phases, $from, $inner - $from), $end));

        return new self(self::merged($phases), $play === null ? null : $knots[$play]);
    }

    /** The same where nothing behind the return spring was reached: all that is felt before the stop is the spring. */
    public function ofSpringAlone(): self
    {
        return new self(self::merged(array_map(static fn (Phase $one): Phase => match ($one->kind) {
            PhaseKind::FreePlay, PhaseKind::EndStop, PhaseKind::ReturnSpring => $one,
            PhaseKind::TakeUp, PhaseKind::Working, PhaseKind::Plateau => $one->as(PhaseKind::ReturnSpring),
        }, $this->all)), $this->playKnot);
    }

    public function first(PhaseKind ...$kinds): ?Phase
    {
        foreach ($this->all as $phase) {
            if (in_array($phase->kind, $kinds, true)) {
                return $phase;
            }
        }

        return null;
    }

    /**
     * The pieces of the line without knots that bend it less than can be told, and the knot of the line that each
     * begins at.
     *
     * @return array{list<Phase>, list<int>}
     */
    private static function pieces(BrokenLine $line, float $rest): array
    {
        $knots = range(0, $line->pieces());
        $least = max(self::BENDS, self::BENDS_SHARE * max($line->heights), 2.0 * $line->scatter());
        while (count($knots) > 2) {
            [$straightest, $bends] = [1, INF];
            for ($place = 1; $place < count($knots) - 1; $place++) {
                $bend = $line->bend($knots[$place - 1], $knots[$place], $knots[$place + 1]);
                [$straightest, $bends] = $bend < $bends ? [$place, $bend] : [$straightest, $bends];
            }
            if ($bends >= $least) {
                break;
            }
            array_splice($knots, $straightest, 1);
        }
        $pieces = [];
        foreach (array_slice($knots, 1) as $place => $knot) {
            $from = $knots[$place];
            $pieces[] = new Phase(
                PhaseKind::Working,
                $line->knots[$from] - $rest,
                $line->knots[$knot] - $rest,
                $line->heights[$from],
                $line->heights[$knot],
            );
        }

        return [$pieces, $knots];
    }

    /**
     * The first piece of the stop: from there on it is steeper than anything before.
     *
     * @param  list<Phase>  $pieces
     */
    private static function stop(array $pieces): ?int
    {
        $last = count($pieces) - 1;
        $end = $pieces[$last];
        $reach = $end->to - $pieces[0]->from;
        for ($first = 1; $first <= $last; $first++) {
            [$piece, $before] = [$pieces[$first], $pieces[$first - 1]];
            $rises = ($end->toN - $piece->fromN) / ($end->to - $piece->from);
            $steepest = max(
                -INF,
                ...array_map(static fn (Phase $one): float => $one->slope(), array_slice($pieces, 0, $first)),
            );
            if (
                $piece->from - $pieces[0]->from >= self::STILL_EARLY * $reach
                && $piece->slope() >= self::STOP * max($before->slope(), 0.0)
                && $rises > $steepest
            ) {
                return $first;
            }
        }

        return null;
    }

    /**
     * The first piece after the free play.
     *
     * @param  list<Phase>  $pieces
     */
    private static function play(array $pieces, int $inner): ?int
    {
        $reach = $pieces[count($pieces) - 1]->to - $pieces[0]->from;
        $heaviest = self::heaviest(array_slice($pieces, 0, $inner));
        $mean = ($heaviest - $pieces[0]->fromN) / ($pieces[$inner - 1]->to - $pieces[0]->from);
        for ($next = 1; $next < $inner; $next++) {
            $before = $pieces[$next - 1];
            if (
                $before->toN > self::STILL_LIGHT * $heaviest
                || $before->to - $pieces[0]->from > self::STILL_EARLY * $reach
            ) {
                return null;
            }
            $grows = $pieces[$next]->slope();
            $isTouch = $next === 1 && $before->to - $before->from < self::TOUCH * $reach && $grows < $before->slope();
            if (
                ! $isTouch
                && $grows >= self::GROWS * max($before->slope(), 0.0)
                && $grows - $before->slope() >= 0.2 * $mean
            ) {
                return $next;
            }
        }

        return null;
    }

    /**
     * What lies between free play and stop.
     *
     * @param  list<Phase>  $phases
     * @return list<Phase>
     */
    private static function working(array $phases, WorkingEnd $end): array
    {
        if ($phases === []) {
            return [];
        }
        $heaviest = self::heaviest($phases);
        $takeUp = self::takeUp($phases, $heaviest);
        if ($takeUp === null) {
            return $phases;
        }
        $named = [];
        foreach ($phases as $place => $phase) {
            $named[] = $phase->as(match (true) {
                $place < $takeUp => $end->isBehindReturnSpring() ? PhaseKind::ReturnSpring : PhaseKind::TakeUp,
                $place === $takeUp => PhaseKind::TakeUp,
                abs($phase->toN - $phase->fromN) < self::LEVEL * $heaviest => PhaseKind::Plateau,
                default => PhaseKind::Working,
            });
        }

        return $named;
    }

    /**
     * The last piece that is steeper than what follows and takes up a fair share of the weight: before it a return
     * spring is picked up in the same way.
     *
     * @param  list<Phase>  $phases
     */
    private static function takeUp(array $phases, float $heaviest): ?int
    {
        $last = count($phases) - 1;
        $mean = ($heaviest - $phases[0]->fromN) / ($phases[$last]->to - $phases[0]->from);
        for ($place = $last; $place >= 0; $place--) {
            $phase = $phases[$place];
            $isSteep = $place < $last ? $phase->slope() >= self::TAKE_UP * $phases[$place + 1]->slope()
                : $last > 0 && $phase->slope() >= self::STOP * max($phases[$last - 1]->slope(), 0.0);
            if ($isSteep && $phase->slope() > $mean && $phase->toN - $phase->fromN >= self::TAKES_UP * $heaviest) {
                return $place;
            }
        }

        return null;
    }

    /** @param  list<Phase>  $phases */
    private static function heaviest(array $phases): float
    {
        return max(-INF, ...array_map(static fn (Phase $one): float => max($one->fromN, $one->toN), $phases));
    }

    /**
     * @param  list<Phase>  $phases
     * @return list<Phase>
     */
    private static function merged(array $phases): array
    {
        [$merged, $open] = [[], null];
        foreach ($phases as $phase) {
            if ($open !== null && $open->kind !== $phase->kind) {
                $merged[] = $open;
                $open = null;
            }
            $open = $open?->joined($phase) ?? $phase;
        }

        return $open === null ? $merged : [...$merged, $open];
    }
}
