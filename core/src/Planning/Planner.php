<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Bench\Facts;
use VividPull\Core\Bench\Judgement;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Learning\Learning;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** The next move. One adjuster at a time: each says what it could do, and the easiest healthy one is put first. */
final readonly class Planner
{
    public static function advise(Spec $spec, Run $run, Facts $facts, Beliefs $beliefs, Judgement $judgement): PlanOutcome
    {
        $band = $judgement->plannedBand;
        $verdict = $judgement->now;

        return match (true) {
            $facts->closed !== null => PlanOutcome::say(PlanKind::Over, 'This job is closed.'),
            $verdict->is(VerdictKind::Unread), $verdict->is(VerdictKind::NotJudged) => PlanOutcome::say(PlanKind::Read, $verdict->sentence.'.'),
            $band === null => PlanOutcome::say(PlanKind::RoutingFault,
                'Play changes more from pose to pose than the band is wide: no setting can be right in all of them. Look for a trapped or wrongly routed cable.'),
            ! $beliefs->play->isPlaced() && $verdict->is(VerdictKind::Inside) => PlanOutcome::say(PlanKind::Prove, 'Inside the band. Prove it.'),
            ! $beliefs->play->isPlaced() => self::slacken($spec, $run, $facts, $band),
            default => self::moves($spec, $run, $facts, $beliefs, $judgement, $band),
        };
    }

    private static function moves(Spec $spec, Run $run, Facts $facts, Beliefs $beliefs, Judgement $judgement, SpecBand $band): PlanOutcome
    {
        $search = MoveSearch::for($spec, $facts, $beliefs->play, $judgement, $band);
        $options = array_map(static fn (Adjuster $adjuster): AdjusterAdvice => $search->with($adjuster, $facts), $run->adjusters());
        $recommended = self::easiest($options, $run, $facts);
        $advice = $options[$recommended ?? ''] ?? null;

        return match (true) {
            $judgement->now->is(VerdictKind::Inside) => PlanOutcome::choose(PlanKind::Prove, 'Inside the band. Prove it.', $options, $recommended, $search->target),
            $judgement->now->is(VerdictKind::CantTell) => PlanOutcome::choose(PlanKind::Decide, $judgement->now->advice ?? '', $options, $recommended, $search->target),
            $advice === null => PlanOutcome::choose(PlanKind::OutOfThread, self::limits($options), $options, null, $search->target),
            default => PlanOutcome::choose(PlanKind::Move, $advice->sentence, $options, $recommended, $search->target),
        };
    }

    /** Taut, with nothing above zero read yet: give the slack that would bring it to the target if it were just taut. */
    private static function slacken(Spec $spec, Run $run, Facts $facts, SpecBand $band): PlanOutcome
    {
        $target = self::target($band, $facts->policy ?? $spec->policy) ?? $band->floor() + 1.0;
        $slack = $target / exp(Learning::prior($spec, $run, $facts)->ln);
        $options = array_map(static fn (Adjuster $a): AdjusterAdvice => Slackening::with($a, $facts->positions[$a->id()] ?? null, $slack), $run->adjusters());
        $recommended = self::easiest($options, $run, $facts);

        return $recommended === null
            ? PlanOutcome::choose(PlanKind::OutOfThread, self::limits($options), $options, null, $target)
            : PlanOutcome::choose(PlanKind::Move, $options[$recommended]->sentence, $options, $recommended, $target);
    }

    /** Where in the band to aim, in mm; null where only a low edge is given and the smallest good move is best. */
    public static function target(SpecBand $band, Policy $policy): ?float
    {
        return $band->high === null ? null : $band->floor() + $policy->share() * ($band->high - $band->floor());
    }

    /**
     * Healthy before unhealthy, then the fewest minutes to reach, covers already off counting none.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    private static function easiest(array $options, Run $run, Facts $facts): ?string
    {
        $best = null;
        $bestCost = INF;
        foreach ($options as $id => $advice) {
            $access = $run->adjuster($id)?->access();
            $minutes = $access === null || isset($facts->coversOff[$id]) ? 0.0 : $access->minutes;
            $cost = $minutes + ($advice->healthyAfter ? 0.0 : 1000.0);
            if ($advice->moves() && $cost < $bestCost) {
                [$best, $bestCost] = [$id, $cost];
            }
        }

        return $best;
    }

    /** @param  array<string, AdjusterAdvice>  $options */
    private static function limits(array $options): string
    {
        $sentences = array_map(static fn (AdjusterAdvice $advice): string => $advice->sentence, array_values($options));

        return implode(' ', $sentences).' Suspect a wrong or stretched cable, or worn parts at the working end.';
    }
}
