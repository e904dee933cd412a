<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Planning\CableMatch;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Planning\Planner;
use VividPull\Core\Planning\TakeUp;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SpecBand;

/** The cable match of a job: what the old cable was found with, and what this run's adjusters can take up. */
final readonly class CableMatching
{
    private float $ratio;

    private function __construct(private CableState $cable)
    {
        // What this job's own readings taught of the ratio counts, not only what it began with.
        $this->ratio = $cable->spec->aim === null ? 1.0 : exp($cable->beliefs()->play->taught()->ln);
    }

    /** Null until old and new were laid side by side; of a pair, of the cable that is replaced. */
    public static function of(CableState $first, ?CableState $second): ?CableMatch
    {
        $under = $first->facts->observations->replacing;
        $isSecond = $second !== null && self::isSecond($first->run, $under?->cable);

        return $under?->sizes === null ? null : (new self($isSecond ? $second : $first))->match($under->sizes);
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
        $takeUp = TakeUp::of($this->cable->run);
        $band = $this->cable->spec->aim->band ?? SpecBand::between(0.0, null);
        $isRead = $this->cable->spec->aim !== null;
        $target = ($isRead ? Planner::target($this->cable->spec, $this->cable->facts, $band) : null)
            ?? $band->floor() + 1.0;

        return CableMatch::of(
            $sizes,
            $this->oldSlackIn($takeUp),
            $takeUp->unmeasured($this->cable->facts->adjusters->home),
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
        $found = $this->cable->judgement->foundGroup;

        return $found === null
            || $found->isTaut()
            || $this->cable->spec->aim === null
            || ! $found->isAt($this->cable->spec->aim->point)
            ? null
            : $takeUp->slackIn($found->found->mean / $this->ratio, $this->cable->facts->adjusters->home);
    }
}
