<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Bench\Facts;
use VividPull\Core\Bench\Judgement;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Drift;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** The next move: the first step of the best plan over all adjusters, with what each of them could do by itself beside it. */
final readonly class Planner
{
    private const PROVE = 'Inside the band. Prove it.';

    public static function advise(Spec $spec, Run $run, Facts $facts, Beliefs $beliefs, Judgement $judgement): PlanOutcome
    {
        $band = $judgement->plannedBand;
        $verdict = $judgement->now;
        $guided = $facts->guideUnderWay($run);

        return match (true) {
            $facts->closed !== null => PlanOutcome::say(PlanKind::Over, 'This job is closed.'),
            $spec->aim === null => self::withoutPlay($spec, $run, $facts, $judgement),
            $guided !== null => PlanOutcome::say(PlanKind::Guided, "Finish the {$guided->name()} first: its steps stand above."),
            $verdict->is(VerdictKind::Unread), $verdict->is(VerdictKind::NotJudged) => PlanOutcome::say(PlanKind::Read, $verdict->sentence.'.'),
            $band === null => PlanOutcome::say(PlanKind::RoutingFault,
                'Play changes more from pose to pose than the band is wide: no setting can be right in all of them. Look for a trapped or wrongly routed cable.'),
            ! $beliefs->play->isPlaced() && $verdict->is(VerdictKind::Inside) => PlanOutcome::say(PlanKind::Prove, self::PROVE),
            $run->playAdjusters() === [] => PlanOutcome::say(PlanKind::OutOfThread,
                self::nothingToTurn($run)),
            ! $beliefs->play->isPlaced() => self::slacken($spec, $run, $facts, $beliefs, $band),
            default => self::moves($spec, $run, $facts, $beliefs, $judgement, $band),
        };
    }

    /** Where no play is read: what the settings tried say, or what is to be done where there is nothing to set. */
    private static function withoutPlay(Spec $spec, Run $run, Facts $facts, Judgement $judgement): PlanOutcome
    {
        return match (true) {
            $judgement->table !== null => PlanOutcome::say(PlanKind::Table, TablePlanner::advise($judgement->table, $run, $facts)->sentence),
            $spec->family->family()->notSettable() !== null => PlanOutcome::say(PlanKind::NotSettable, $spec->family->family()->notSettable()),
            default => PlanOutcome::say(PlanKind::NotSettable, 'There is no play to set here. What fails is put right at the route, the mount or the part.'),
        };
    }

    private static function moves(Spec $spec, Run $run, Facts $facts, Beliefs $beliefs, Judgement $judgement, SpecBand $band): PlanOutcome
    {
        $found = $judgement->nowGroup?->found;
        $window = new ShiftWindow(
            $beliefs->play,
            $band,
            Conformity::acceptance($band, $found?->standard() ?? 0.0, $spec->rule),
            $found?->standardOfNext() ?? 0.0,
            self::target($spec, $facts, $band),
            ! $beliefs->play->hasLearned(),
        );
        if ($judgement->now->is(VerdictKind::Inside) && ! self::mayBringHome($run, $facts)) {
            return PlanOutcome::choose(PlanKind::Prove, self::PROVE, [], null, $window->target);
        }
        $maker = new PlanMaker($spec, $run, $facts, $window);
        $plan = $maker->plan();
        $first = $plan === null ? [] : [$plan->steps[0]->adjuster => $plan->steps[0]];
        $options = array_map(static fn (Adjuster $adjuster): AdjusterAdvice => $first[$adjuster->id()] ?? $maker->alone($adjuster)
            ?? self::used($maker, $window, $facts, $adjuster), $run->playAdjusters());
        $recommended = $plan?->steps[0]->adjuster;
        $say = static fn (PlanKind $kind, string $sentence): PlanOutcome => PlanOutcome::choose($kind, $sentence, $options, $recommended, $window->target, $plan);

        return match (true) {
            $judgement->now->is(VerdictKind::Inside) && ! self::bringsHome($run, $plan) => $say(PlanKind::Prove, self::PROVE),
            $judgement->now->is(VerdictKind::CantTell) => $say(PlanKind::Decide, $judgement->now->advice ?? ''),
            $plan === null => $say(PlanKind::OutOfThread, self::limits($spec, $window, $options)),
            default => $say(PlanKind::Move, $plan->steps[0]->sentence),
        };
    }

    private static function nothingToTurn(Run $run): string
    {
        return $run->has(AdjusterKind::SelfAdjuster)
            ? 'A sprung self-adjuster finds its own setting: held slacker, it creeps back. Reset it by its steps; a manual in-line adjuster in its place gives control back.'
            : 'This cable has no adjuster. A slack one is replaced; else it is put right at the route or the mount.';
    }

    /** Inside its band, but with the adjuster in reach outside its healthy zone: service goes on until it is home. */
    private static function mayBringHome(Run $run, Facts $facts): bool
    {
        return ChosenMode::of($run, $facts) === SettingMode::Service && ChosenMode::isUnhealthyInReach($run, $facts);
    }

    private static function bringsHome(Run $run, ?AdjustmentPlan $plan): bool
    {
        return $plan !== null && array_filter($plan->steps, static fn (AdjusterAdvice $step): bool => $step->adjuster === $run->inReach()?->id() && $step->healthyAfter) !== [];
    }

    /** Taut, with nothing above zero read yet: give the slack that would bring it to the target if it were just taut. */
    private static function slacken(Spec $spec, Run $run, Facts $facts, Beliefs $beliefs, SpecBand $band): PlanOutcome
    {
        $target = self::target($spec, $facts, $band) ?? $band->floor() + 1.0;
        $slack = $target / exp($beliefs->play->taught()->ln);
        $usual = array_filter($run->playAdjusters(), static fn (Adjuster $a): bool => ! $a->kind()->isLastResort());
        $options = array_map(static fn (Adjuster $a): AdjusterAdvice => Slackening::with($a, $facts->positions[$a->id()] ?? null, $slack), $usual);
        $recommended = self::easiest($options, $run, $facts);

        return $recommended === null
            ? PlanOutcome::choose(PlanKind::OutOfThread, self::said($options).' '.self::tooTight($spec), $options, null, $target)
            : PlanOutcome::choose(PlanKind::Move, $options[$recommended]->sentence, $options, $recommended, $target);
    }

    /** Where in the band to aim, in mm; null where only a low edge is given and the smallest good move is best. */
    public static function target(Spec $spec, Facts $facts, SpecBand $band): ?float
    {
        return match (true) {
            $facts->like !== null => $facts->like->mm,
            $band->high === null => null,
            default => $band->floor() + ($facts->policy ?? $spec->policy)->share() * ($band->high - $band->floor()),
        };
    }

    /**
     * Healthy before unmeasured before unhealthy, then the fewest minutes to reach, covers already off counting none.
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
            $cost = $minutes + ($advice->healthyAfter ? 0.0 : (($facts->positions[$id] ?? null) === null ? 1000.0 : 2000.0));
            if ($advice->moves() && $cost < $bestCost) {
                [$best, $bestCost] = [$id, $cost];
            }
        }

        return $best;
    }

    private static function used(PlanMaker $maker, ShiftWindow $window, Facts $facts, Adjuster $adjuster): AdjusterAdvice
    {
        if (($facts->positions[$adjuster->id()] ?? null) === null) {
            return AdjusterAdvice::outOfThread($adjuster->id(), $window->expected(0.0), "{$adjuster->name()}: where it stands is not known. Look at it first, for it may reach.");
        }
        $best = $maker->furthest($adjuster);
        $way = $window->expected(0.0) > $window->band->ceiling() ? 'take up' : 'give';
        $room = $adjuster->kind()->isThreaded() ? 'not enough thread' : 'not enough room';

        return AdjusterAdvice::outOfThread($adjuster->id(), $best,
            "{$adjuster->name()}: {$room} to {$way} the slack; at its end it would still read about ".number_format(max(0.0, $best), 1, '.', '').' mm.');
    }

    /** @param  array<string, AdjusterAdvice>  $options */
    private static function limits(Spec $spec, ShiftWindow $window, array $options): string
    {
        return self::said($options).' '.($window->expected(0.0) > $window->band->ceiling()
            ? 'All of it together does not take the slack up: suspect a stretched or wrong cable, or a conduit out of its seat.'
            : self::tooTight($spec));
    }

    /** What it means when no adjuster can give the slack that is wanted. */
    private static function tooTight(Spec $spec): string
    {
        return match ($spec->family->family()->drift()) {
            Drift::ShrinksPlay => 'Nothing left to give slack with: suspect worn plates or lining, a wrong or short cable, or a part at the working end put together wrongly.',
            Drift::GrowsPlay => 'Nothing left to give slack with: suspect a wrong or short cable, a trapped conduit or a bent bracket.',
        };
    }

    /** @param  array<string, AdjusterAdvice>  $options */
    private static function said(array $options): string
    {
        return implode(' ', array_map(static fn (AdjusterAdvice $advice): string => $advice->sentence, array_values($options)));
    }
}
