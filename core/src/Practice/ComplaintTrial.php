<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Diagnosis\Belief;
use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Diagnosis\Model;
use VividPull\Core\Diagnosis\NextStep;
use VividPull\Core\Diagnosis\StepKind;
use VividPull\Core\Diagnosis\Troubleshooter;
use VividPull\Core\Diagnosis\Weights;

/**
 * How a complaint with a hidden truth goes by a way of working: minutes until it is gone, looks, and what was thought
 * of it on the way.
 */
final readonly class ComplaintTrial
{
    private const MOST_STEPS = 60;

    /**
     * @param  float  $searching  minutes beyond those that nobody is spared
     * @param  bool  $isNamed  whether a cause it has stood first after two looks
     * @param  array<string, float>  $chances  after two looks, by cause
     */
    private function __construct(
        public float $minutes,
        public float $searching,
        public int $looks,
        public bool $isNamed,
        public array $chances,
        public bool $isGone,
    ) {}

    public static function of(Knowledge $knowledge, HiddenComplaint $truth, Evidence $told, WayOfWorking $way): self
    {
        $model = Model::of($knowledge, Weights::ofTheTrade());
        $evidence = isset($knowledge->checks['story']) ? $told->answered('story', $truth->shows('story')) : $told;
        [$minutes, $looks, $cured, $named] = [0.0, 0, [], null];
        for ($n = 0; $n < self::MOST_STEPS && ! $truth->isGone($cured); $n++) {
            $belief = Belief::of($model, $evidence);
            $next = self::next($knowledge, $belief, $evidence, $way);
            if ($looks >= 2 || $next->kind !== StepKind::Check) {
                $named ??= $belief->chances();
            }
            $check = $knowledge->checks[$next->key] ?? null;
            if ($next->kind === StepKind::Check && $check !== null) {
                $minutes += $check->minutes + self::minutesToReach($check, $evidence);
                $evidence = self::reached($check, $evidence->answered($check->key, $truth->shows($check->key)));
                $looks++;

                continue;
            }
            $minutes += $knowledge->causes[$next->key]->minutes;
            $cured[] = $next->key;
            $evidence = $evidence->curedInVain($next->key);
        }
        $chances = $named ?? Belief::of($model, $evidence)->chances();
        arsort($chances);

        return new self(
            $minutes,
            $minutes - $truth->least($knowledge),
            $looks,
            in_array(array_key_first($chances), $truth->causes(), true),
            $chances,
            $truth->isGone($cured),
        );
    }

    /** What it takes to open the cover over it, where that is still on. */
    private static function minutesToReach(Check $check, Evidence $evidence): float
    {
        return $check->effort->cover === null || in_array($check->effort->cover, $evidence->coversOff, true)
            ? 0.0
            : $check->effort->coverMinutes;
    }

    /** How the covers are once it was looked at: all back where that ran the machine. */
    private static function reached(Check $check, Evidence $evidence): Evidence
    {
        return match (true) {
            $check->effort->runs => $evidence->coversBack(),
            $check->effort->cover === null => $evidence,
            default => $evidence->coverOff($check->effort->cover),
        };
    }

    private static function next(Knowledge $knowledge, Belief $belief, Evidence $evidence, WayOfWorking $way): NextStep
    {
        if ($way === WayOfWorking::Ours) {
            return Troubleshooter::next($knowledge, $belief, $evidence);
        }
        $chances = $belief->chances();
        arsort($chances);
        $first = (string) array_key_first($chances);
        $open = array_filter(
            $knowledge->checks,
            static fn (Check $one): bool => ! $one->isOnFile && ! isset($evidence->seen[$one->key]),
        );
        $look = match ($way) {
            // Until one is nearly certain, whatever takes the fewest minutes.
            WayOfWorking::CheapestFirst => $chances[$first] > 0.9 ? null : self::cheapest($open, $evidence),
            // The likeliest is looked for, then the next.
            WayOfWorking::LikeliestFirst => self::cheapest(
                array_intersect_key($open, array_flip($knowledge->causes[$first]->telling())),
                $evidence,
            ),
        };

        // What is safe comes first by every way.
        $safety = array_filter($open, static fn (Check $one): bool => $one->effort->isSafety);
        $look = $safety !== [] && ($look === null || $open[$look]->effort->runs)
            ? self::cheapest($safety, $evidence)
            : $look;

        return $look === null
            ? new NextStep($first === Cause::OTHER ? StepKind::Unexplained : StepKind::Cure, $first, '', '', 0.0, 0.0)
            : new NextStep(StepKind::Check, $look, '', '', 0.0, 0.0);
    }

    /** @param  array<string, Check>  $open */
    private static function cheapest(array $open, Evidence $evidence): ?string
    {
        $minutes = array_map(
            static fn (Check $one): float => $one->minutes
                + ($one->effort->cover === null || in_array($one->effort->cover, $evidence->coversOff, true)
                    ? 0.0
                    : $one->effort->coverMinutes),
            $open,
        );
        asort($minutes);

        return array_key_first($minutes);
    }
}
