<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\Judging;
use VividPull\Core\Learning\Learning;
use VividPull\Core\Planning\CableMatch;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Planning\Planner;
use VividPull\Core\Planning\TakeUp;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** The cable match of a job: what the old cable was found with, and what this run's adjusters can take up. */
final readonly class CableMatching
{
    private float $ratio;

    private function __construct(
        private Spec $spec,
        private Run $run,
        private Facts $facts,
        private Judgement $judgement,
    ) {
        // What this job's own readings taught of the ratio counts, not only what it began with.
        $this->ratio = $spec->aim === null ? 1.0 : exp(Learning::believe($spec, $run, $facts)->play->taught()->ln);
    }

    /** Null until old and new were laid side by side. */
    public static function of(Spec $spec, Run $run, Facts $facts, Judgement $judgement): ?CableMatch
    {
        $under = $facts->observations->replacing;
        if ($under?->sizes === null) {
            return null;
        }
        [$second, $ofSecond] = [$run->second(), $spec->ofSecond()];
        if ($second !== null && $ofSecond !== null && $facts->second !== null && self::isSecond($run, $under->cable)) {
            return (new self(
                $ofSecond,
                $second,
                $facts->second,
                Judging::judge($ofSecond, $second, $facts->second),
            ))->match($under->sizes);
        }

        return (new self($spec, $run, $facts, $judgement))->match($under->sizes);
    }

    /** The run whose adjusters take up the new cable: of a pair, that of the cable which is replaced. */
    public static function runOf(Run $run, ?string $cable): Run
    {
        return self::isSecond($run, $cable) ? $run->second() ?? $run : $run;
    }

    private static function isSecond(Run $run, ?string $cable): bool
    {
        return array_filter(
            $run->cables,
            static fn (Cable $one): bool => $one->id === $cable && $one->pulls->isSecond(),
        ) !== [];
    }

    /** @return array<string, Steps> where each adjuster lands, by adjuster; none where that is not known */
    public static function landing(Run $run, Facts $facts, CableMatch $match): array
    {
        return $match->takeUp === null ? [] : TakeUp::of($run)->landing($match->takeUp, ChosenMode::parking($facts));
    }

    private function match(CableComparison $sizes): CableMatch
    {
        $takeUp = TakeUp::of($this->run);
        $band = $this->spec->aim->band ?? SpecBand::between(0.0, null);
        $target = ($this->spec->aim === null ? null : Planner::target($this->spec, $this->facts, $band))
            ?? $band->floor() + 1.0;

        return CableMatch::of(
            $sizes,
            $this->oldSlackIn($takeUp),
            $takeUp->unmeasured($this->facts->adjusters->home),
            $takeUp->whole,
            $takeUp->healthy,
            $takeUp->stretch,
            $band->floor() / $this->ratio,
            $band->high === null ? null : $band->high / $this->ratio,
            $target / $this->ratio,
        );
    }

    /**
     * @return array{float, float}|null what the old cable had with every adjuster at its slackest; null where none was
     *     read as found
     */
    private function oldSlackIn(TakeUp $takeUp): ?array
    {
        $found = $this->judgement->foundGroup;

        return $found === null
            || $found->isTaut()
            || $this->spec->aim === null
            || ! $found->isAt($this->spec->aim->point)
            ? null
            : $takeUp->slackIn($found->found->mean / $this->ratio, $this->facts->adjusters->home);
    }
}
