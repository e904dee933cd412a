<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Statistics\StudentDistribution;

/**
 * What a trace tells: where free play ends and how surely, what comes after it, what friction takes, and whether the
 * far end was reached at all.
 *
 * Pull and release are fitted apart. Free play is the first knot of the pull that it ends at, from rest; its
 * uncertainty is the knot's, of Student's distribution, with the distance of two points, and the marks of the travel's
 * instrument at rest and at the knot.
 */
final readonly class TraceReading
{
    private const COVERAGE = 0.95;

    private const MIXED_UP = 'It takes no less to let it back than to pull it. Are the two ways mixed up in the file?';

    /** A pull that never gets heavier than this share of what a new cable took, its springs were not reached (ours). */
    private const OF_NEW = 0.5;

    /** Without such a figure: as light as a return spring alone, in N at the tip (common practice, no source), */
    private const LIGHT = 20.0;

    /** ... or heavier than any. */
    private const HEAVY = 35.0;

    /** What is felt behind the return spring is this many times as heavy as it. */
    private const HEAVIER = 1.8;

    /** ... and as heavy as the lightest of clutches, in N. */
    private const NOT_LIGHT = 15.0;

    /** A piece so many cells wide is a jump. */
    private const JUMP = 3.0;

    /** The lever has to be let back from at least this share of the heaviest for the loop to tell of friction. */
    private const LOADED = 0.25;

    private function __construct(
        public PullTrace $trace,
        public Curve $pull,
        public Phases $phases,
        private EndOfLight $light,
        /** Whether what is light is free play, and not perhaps the spring. */
        private bool $isPlayTold,
        public Phase $heaviest,
        /** The mean force of both ways over the same travel, where it is loaded. */
        public ?LeverPull $loop,
        /** Why the loop tells nothing, where it should. */
        public ?string $loopProblem,
        public Reached $reached,
        /** On the way back: where the far end is let go, from and to, in mm from rest. */
        public ?Phase $letsGo,
    ) {}

    /**
     * @param  float|null  $newN  what a new cable took at the gauge's place, in N
     * @param  float  $marksMm  what the travel's instrument shows at least, in mm
     * @param  bool  $isToStop  whether it was pulled as far as it goes: else nothing is said of what was not reached
     */
    public static function of(
        PullTrace $trace,
        WorkingEnd $end,
        ?float $newN = null,
        float $marksMm = 0.0,
        bool $isToStop = true,
    ): self {
        $pull = Curve::of($trace->pull)->closer($trace->pull);
        $release = $trace->release === null ? null : Curve::of($trace->release, Cells::FEW);
        $phases = Phases::of($pull->line, $trace->rest(), $end, $isToStop);
        $light = self::endOfLight($pull, $trace->pull, $phases, $trace->rest(), $marksMm);
        $heaviest = self::heaviest($phases);
        $problem = null;
        try {
            $loop = $release === null ? null : self::loop($pull, $release, $trace->rest(), $phases);
        } catch (OutOfRange) {
            [$loop, $problem] = [null, self::MIXED_UP];
        }
        $reached = self::reached($phases, $heaviest, $end, $newN, $isToStop);
        $named = $reached === Reached::ReturnOnly ? $phases->ofSpringAlone() : $phases;
        // How even a hand was, nobody knows.
        $isTold = ! $trace->isSteady
            && (! $end->isBehindReturnSpring()
                || ($reached !== Reached::ReturnOnly && $phases->first(PhaseKind::ReturnSpring) !== null));
        $back = $release === null ? null : Phases::of($release->line, $trace->rest(), $end, $isToStop);

        return new self(
            $trace,
            $pull,
            $named,
            $light,
            $isTold,
            $heaviest,
            $loop,
            $problem,
            $reached,
            $back?->first(PhaseKind::TakeUp),
        );
    }

    /**
     * Where free play ends, in mm from rest. Null where it is not seen to end, or where what is light may be the return
     * spring: behind one, the end of free play is only told where the spring shows after it.
     */
    public function play(): ?float
    {
        return $this->isPlayTold ? $this->light->mm : null;
    }

    /** Where it stops being light, whatever that is made of; in mm from rest. */
    public function light(): ?float
    {
        return $this->light->mm;
    }

    /** The half-width that holds the truth with 95 %, in mm. */
    public function expanded(): ?float
    {
        return $this->play() === null || $this->light->standard === null
            ? null
            : $this->light->standard * StudentDistribution::coverageFactor(
                self::COVERAGE,
                $this->pull->line->freedom(),
            );
    }

    /** @return list<Snag> with their travel from rest */
    public function snags(): array
    {
        return array_map(
            fn (Snag $one): Snag => new Snag($one->atMm - $this->trace->rest(), $one->newtons),
            $this->pull->snags(),
        );
    }

    public function summary(): TraceSummary
    {
        return new TraceSummary(
            $this->play(),
            $this->expanded(),
            $this->heaviest->toN,
            $this->heaviest->to,
            $this->loop?->efficiency(),
            $this->reached,
            count($this->pull->snags()),
        );
    }

    private static function endOfLight(
        Curve $pull,
        Branch $branch,
        Phases $phases,
        float $rest,
        float $marksMm,
    ): EndOfLight {
        $place = $phases->playKnot === null ? null : $pull->place($phases->playKnot);

        // Between two points it may lie anywhere.
        $apart = $branch->reach() / max(1, $branch->count() - 1);
        if ($place === null) {
            return self::jump($pull, $phases, $rest, hypot($apart, $marksMm) / sqrt(12.0));
        }

        return new EndOfLight(
            $place->mean - $rest,
            sqrt($place->deviation ** 2 + $apart ** 2 / 12.0 + $marksMm ** 2 / 6.0),
        );
    }

    /**
     * Where the force jumps from one point to the next, no line has a slope there: the play ends somewhere between the
     * two.
     */
    private static function jump(Curve $pull, Phases $phases, float $rest, float $u): EndOfLight
    {
        [$knots, $at] = [$pull->line->knots, $phases->playKnot];
        $wide = $at === null ? INF : $knots[$at + 1] - $knots[$at];

        return $at === null || $wide > self::JUMP * ($knots[count($knots) - 1] - $knots[0]) / $pull->line->cells
            ? EndOfLight::notSeen()
            : new EndOfLight($knots[$at] + 0.5 * $wide - $rest, hypot($wide / sqrt(12.0), $u));
    }

    /** What comes before any stop, where it is heaviest. */
    private static function heaviest(Phases $phases): Phase
    {
        $heaviest = $phases->all[0];
        foreach ($phases->all as $phase) {
            $heaviest = $phase->kind !== PhaseKind::EndStop && $phase->toN >= $heaviest->toN ? $phase : $heaviest;
        }

        return $heaviest;
    }

    /** @throws OutOfRange If the way back is no lighter. */
    private static function loop(Curve $pull, Curve $release, float $rest, Phases $phases): ?LeverPull
    {
        $from = $phases->first(PhaseKind::Working, PhaseKind::Plateau)->from
            ?? $phases->first(PhaseKind::FreePlay)->to
            ?? 0.0;
        $to = $phases->first(PhaseKind::EndStop)->from ?? INF;
        $least = self::LOADED * self::heaviest($phases)->toN;
        [$first, $last] = [$release->line->knots[0], $release->line->knots[$release->line->pieces()]];
        $pulled = $back = $count = 0.0;
        foreach ($pull->cells->y as $cell => $force) {
            $travel = $pull->cells->at($cell);
            if (
                $travel - $rest >= $from
                && $travel - $rest <= $to
                && $force >= $least
                && $travel >= $first
                && $travel <= $last
            ) {
                $pulled += $force;
                $back += $release->line->force($travel);
                $count++;
            }
        }

        return $count < PullTrace::LEAST_POINTS / 2 ? null : LeverPull::of($pulled / $count, $back / $count);
    }

    private static function reached(
        Phases $phases,
        Phase $heaviest,
        WorkingEnd $end,
        ?float $newN,
        bool $isToStop,
    ): Reached {
        $spring = $phases->first(PhaseKind::ReturnSpring);
        $felt = $spring !== null
            && $phases->first(PhaseKind::Working, PhaseKind::Plateau) !== null
            && $heaviest->toN >= max(self::NOT_LIGHT, self::HEAVIER * $spring->toN);

        return match (true) {
            ! $end->isBehindReturnSpring(), $felt => Reached::Yes,
            $heaviest->toN >= ($newN === null ? self::HEAVY : self::OF_NEW * $newN) => Reached::Yes,
            ! $isToStop => Reached::CannotTell,
            $newN !== null, $heaviest->toN < self::LIGHT => Reached::ReturnOnly,
            default => Reached::CannotTell,
        };
    }
}
