<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\Settles;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/**
 * The next move: the first step of the best plan over all adjusters, with what each of them could do by itself beside
 * it.
 */
final readonly class Planner
{
    private const PROVE = 'Inside the band. Prove it.';

    private const TAUT_ONCE_MORE = 'It still reads nothing. Read it once more before anything else is suspected.';

    private const WHOLE_GROUP = 3;

    /**
     * Readings of a pose at the edge before it is left untold; each costs less than a turn, and far less than a part
     * (ours).
     */
    private const MOST_AT_THE_EDGE = 6;

    private const WORTH_LOOSENING = 3 * Steps::PER_FLAT;

    /** A turn at the edge is made where it makes play likelier to be inside by this much (ours). */
    private const WORTH = 0.05;

    /**
     * Below this chance of being inside a control is not left as it reads while it was not turned to and fro (ours).
     */
    private const LIKELY = 0.8;

    public static function advise(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
    ): PlanOutcome {
        $band = $judgement->plannedBand;
        $verdict = $judgement->now;
        $guided = $facts->guideUnderWay($run);

        return match (true) {
            $facts->closed !== null => PlanOutcome::say(PlanKind::Over, 'This job is closed.'),
            $spec->aim === null => self::withoutPlay($spec, $run, $facts, $judgement),
            $guided !== null => PlanOutcome::say(
                PlanKind::Guided,
                "Finish the {$guided->name()} first: its steps stand above.",
            ),
            $verdict->is(VerdictKind::Unread),
            $verdict->is(VerdictKind::NotJudged) => PlanOutcome::say(PlanKind::Read, $verdict->sentence.'.'),
            $band === null || $judgement->isRoutingFault => PlanOutcome::look(
                PlanKind::RoutingFault,
                Suspicion::ofEverySetting(),
                null,
            ),
            $judgement->poseToReadAgain() !== null => PlanOutcome::readAgain($judgement->poseToReadAgain(),
                "Read it again with {$judgement->poseToReadAgain()->label()} before anything is turned: one reading may be misread."),
            $verdict->settles === Settles::Answer => PlanOutcome::say(PlanKind::Decide, $verdict->advice ?? ''),
            ! $beliefs->play->isPlaced() && $verdict->is(VerdictKind::Inside) => PlanOutcome::say(
                PlanKind::Prove,
                self::PROVE,
            ),
            $run->playAdjusters() === [] => self::nothingTurns($spec, $run, $facts, $judgement),
            ! $beliefs->play->isPlaced() => self::slacken($spec, $run, $facts, $beliefs, $judgement, $band),
            default => self::moves($spec, $run, $facts, $beliefs, $judgement, $band),
        };
    }

    /** Where no play is read: what the settings tried say, or what is to be done where there is nothing to set. */
    private static function withoutPlay(Spec $spec, Run $run, Facts $facts, Judgement $judgement): PlanOutcome
    {
        return match (true) {
            $judgement->table !== null => PlanOutcome::say(
                PlanKind::Table,
                TablePlanner::advise($spec, $judgement->table, $run, $facts)->sentence,
            ),
            Families::of($spec->family)->notSettable() !== null => PlanOutcome::say(
                PlanKind::NotSettable,
                Families::of($spec->family)->notSettable(),
            ),
            default => PlanOutcome::say(
                PlanKind::NotSettable,
                'There is no play to set here. What fails is put right at the route, the mount or the part.',
            ),
        };
    }

    private static function moves(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        SpecBand $band,
    ): PlanOutcome {
        $window = self::window($spec, $run, $facts, $beliefs, $judgement, $band);
        $isSettled = self::isSettled($spec, $facts, $judgement);
        $before = $isSettled
            ? self::settled($spec, $run, $facts, $beliefs, $judgement, $window, $band)
            : self::looksAtTheRoute($spec, $run, $beliefs, $judgement, $window);
        if ($before !== null) {
            return $before;
        }
        $allowed = $isSettled ? self::allowed($spec, $run, $facts, $beliefs, $judgement, $band) : $band;
        if ($allowed === null) {
            return PlanOutcome::choose(PlanKind::Prove, self::PROVE, [], null, $window->target);
        }
        $within = static fn (SpecBand $in): ShiftWindow => self::window($spec, $run, $facts, $beliefs, $judgement, $in);
        $window = $allowed === $band ? $window : $within($allowed);
        $known = $judgement->sweep->knownBand($spec->play()->band);
        $less = $isSettled || $known === $band ? null : static fn (): ShiftWindow => $within($known);
        [$window, $maker, $plan] = self::planned($spec, $run, $facts, $window, $isSettled, $less);
        $options = self::options($run, $facts, $window, $maker, $plan);
        if ($isSettled) {
            return $plan !== null && self::isWorthBringingHome($run, $facts, $window, $plan)
                ? self::turned($plan, $options, $window)
                : self::provedOrLooked($run, $facts, $window);
        }

        return self::unsettled($spec, $run, $facts, $beliefs, $judgement, $window, $maker, $plan, $options);
    }

    /**
     * Outside, or nobody can tell: it is turned as planned, unless a reading says more, or it was turned to and fro
     * already.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    private static function unsettled(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        ShiftWindow $window,
        PlanMaker $maker,
        ?AdjustmentPlan $plan,
        array $options,
    ): PlanOutcome {
        $swinging = Swinging::of($run, $facts);
        $isEnough = $plan !== null
            && ($swinging->isTooLong() || $swinging->wouldSwing($plan->shift) && ! $plan->finishesAlike);
        // Nor is a turn offered where nobody can tell, and neither a reading nor leaving it is a way on.
        $isOpen = self::isLeftOpen($judgement, $window, $plan, $swinging)
            && ! ($isEnough && $judgement->now->isStuckAtTheEdge());

        $notFollowing = Suspicion::ofNotFollowing($beliefs);

        return match (true) {
            $isOpen => self::leftOpen($judgement, $window, $plan, $options),
            self::isAstrayOnce($facts, $beliefs, $judgement) => PlanOutcome::readAgain(
                Pose::Straight,
                'It does not read as it should after that move. Read it once more before anything is turned: one reading may be misread.',
                $options,
                $window->target,
            ),
            $isEnough => PlanOutcome::look(
                PlanKind::Suspect,
                Suspicion::of($spec, $run, $facts, $beliefs, $judgement, $swinging->said()),
                $window->target,
            ),
            $notFollowing !== null => PlanOutcome::look(PlanKind::Suspect, $notFollowing, $window->target),
            $plan === null => self::withoutPlan($spec, $run, $facts, $beliefs, $judgement, $window, $maker, $options),
            default => self::turned($plan, $options, $window),
        };
    }

    /** One reading may be misread: nothing is blamed for it. */
    private static function isReadOnce(Judgement $judgement): bool
    {
        return ($judgement->nowGroup->found->count ?? 0) < 2;
    }

    /** Whether what was read after a move cannot be believed, and was read only once. */
    private static function isAstrayOnce(Facts $facts, Beliefs $beliefs, Judgement $judgement): bool
    {
        return self::isReadOnce($judgement)
            && $beliefs->isSurprisedAt($facts->readings->setting);
    }

    /** Whether play is as it should be in every pose that was read, or is left as it is. */
    private static function isSettled(Spec $spec, Facts $facts, Judgement $judgement): bool
    {
        return ($judgement->now->is(VerdictKind::Inside) || self::isLeftAsRead($spec, $facts))
            && ! $judgement->isOutsideInAPose()
            || $facts->chosen->byChoice !== null;
    }

    /** Nothing to turn: no part is blamed for what is inside, nor for one reading, nor where nobody can tell. */
    private static function nothingTurns(Spec $spec, Run $run, Facts $facts, Judgement $judgement): PlanOutcome
    {
        $isOpen = $judgement->now->is(VerdictKind::CantTell) && ! $judgement->isOutsideInAPose();
        $edge = $judgement->poseAtTheEdge();

        return match (true) {
            self::isSettled($spec, $facts, $judgement) => PlanOutcome::say(PlanKind::Prove, self::PROVE),
            $edge !== null => self::atTheEdge($judgement, $edge, [], null),
            $isOpen => PlanOutcome::choose(
                PlanKind::Decide,
                $judgement->now->advice ?? "{$judgement->now->sentence}.",
                [],
                null,
                null,
                settledBy: self::tells($judgement),
            ),
            self::isReadOnce($judgement) => PlanOutcome::readAgain(
                Pose::Straight,
                'Read it once more before a part is blamed: nothing turns on this cable.',
            ),
            default => PlanOutcome::outOfThread(Limits::ofNothingToTurn($run), [], null),
        };
    }

    /** @return array<string, AdjusterAdvice> what each adjuster could do by itself, the first of the plan as planned */
    private static function options(
        Run $run,
        Facts $facts,
        ShiftWindow $window,
        PlanMaker $maker,
        ?AdjustmentPlan $plan,
    ): array {
        $first = $plan === null ? [] : [$plan->steps[0]->adjuster => $plan->steps[0]];

        return array_map(
            static fn (Adjuster $adjuster): AdjusterAdvice => $first[$adjuster->id()]
                ?? $maker->alone($adjuster)
                ?? self::used($maker, $window, $facts, $adjuster),
            $run->playAdjusters(),
        );
    }

    /** @param  array<string, AdjusterAdvice>  $options */
    private static function turned(AdjustmentPlan $plan, array $options, ShiftWindow $window): PlanOutcome
    {
        $first = $plan->steps[0];

        return PlanOutcome::choose(
            PlanKind::Move,
            $first->sentence,
            $options,
            $first->adjuster,
            $window->target,
            $plan,
        );
    }

    /** @param  array<string, AdjusterAdvice>  $options */
    private static function leftOpen(
        Judgement $judgement,
        ShiftWindow $window,
        ?AdjustmentPlan $plan,
        array $options,
    ): PlanOutcome {
        return PlanOutcome::choose(
            PlanKind::Decide,
            self::undecided($judgement, $plan, $options),
            $options,
            $plan?->steps[0]->adjuster,
            $window->target,
            $plan,
            self::tells($judgement),
        );
    }

    /** A finer instrument of the shelf, where that would tell. */
    private static function tells(Judgement $judgement): ?SettledBy
    {
        return $judgement->now->settles === Settles::Instrument ? SettledBy::Finer : null;
    }

    /**
     * Outside, and nothing that turns brings it inside.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    private static function withoutPlan(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        ShiftWindow $window,
        PlanMaker $maker,
        array $options,
    ): PlanOutcome {
        $edge = $judgement->poseAtTheEdge();

        return match (true) {
            $edge !== null => self::atTheEdge($judgement, $edge, $options, $window->target),
            // One reading may be misread: no part is blamed for it.
            self::isReadOnce($judgement) => PlanOutcome::readAgain(
                Pose::Straight,
                self::onceMore($judgement),
                $options,
                $window->target,
            ),
            Limits::areFar($run, $facts, $window, $maker) => PlanOutcome::look(
                PlanKind::Suspect,
                Suspicion::of($spec, $run, $facts, $beliefs, $judgement, Suspicion::UNLIKELY),
                $window->target,
            ),
            default => PlanOutcome::outOfThread(
                Limits::of($spec, $run, $facts, $window, $maker, $options),
                $options,
                $window->target,
            ),
        };
    }

    /** Whether nobody can tell, and turning would not tell more than reading. */
    private static function isLeftOpen(
        Judgement $judgement,
        ShiftWindow $window,
        ?AdjustmentPlan $plan,
        Swinging $swinging,
    ): bool {
        return $judgement->now->is(VerdictKind::CantTell)
            && ! $judgement->isOutsideInAPose()
            && ! self::isWorthTurning($judgement, $window, $plan, $swinging);
    }

    /** Inside its band: whether the plan brings the adjuster in reach home, and play stays well inside on the way. */
    private static function isWorthBringingHome(Run $run, Facts $facts, ShiftWindow $window, AdjustmentPlan $plan): bool
    {
        return self::bringsHome($run, $facts, $plan)
            && (self::wasFoundUnhealthy($run, $facts) || self::staysWell($window, $plan));
    }

    /**
     * Inside, with the adjuster in reach outside its zone, and nothing that is known brings it home: what nobody looked
     * at yet may.
     */
    private static function provedOrLooked(Run $run, Facts $facts, ShiftWindow $window): PlanOutcome
    {
        [$near, $first] = [$run->inReach(), self::notLookedAt($run, $facts)[0] ?? null];

        return $near === null || $first === null
            ? PlanOutcome::choose(PlanKind::Prove, self::PROVE, [], null, $window->target)
            : PlanOutcome::choose(
                PlanKind::Prove,
                "Inside the band. The {$near->name()} stands outside its healthy zone: look at the {$first->name()} first, which may take that up; or leave it for the next service.",
                [],
                $first->id(),
                $window->target,
            );
    }

    /**
     * @return list<Adjuster> of the play, that nobody has said where it stands, or that it cannot be seen; the soonest
     *     reached first
     */
    public static function notLookedAt(Run $run, Facts $facts): array
    {
        $unseen = array_values(array_filter(
            $run->playAdjusters(),
            static fn (Adjuster $one): bool => $facts->adjusters->at($one) === null
                && ! isset($facts->adjusters->threads[$one->id()]),
        ));
        usort(
            $unseen,
            static fn (Adjuster $one, Adjuster $other): int => $one->access()->minutes <=> $other->access()->minutes,
        );

        return $unseen;
    }

    private static function onceMore(Judgement $judgement): string
    {
        return $judgement->isOutsideInAPose() && ! $judgement->now->kind->isOutside()
            ? 'By one reading straight, nothing here brings every pose inside. Read it once more with bars straight, before a part is blamed.'
            : 'By this one reading nothing here reaches its band. Read it once more before a part is blamed.';
    }

    /**
     * Inside, or left as it is: set finer where a proof asks for it, and else proved; null where its thread is first
     * brought home.
     */
    private static function settled(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        ShiftWindow $window,
        SpecBand $band,
    ): ?PlanOutcome {
        $finer = self::finer($spec, $run, $facts, $beliefs, $judgement, $window, $band);

        return $finer ?? ($facts->chosen->byChoice !== null || ! self::mayBringHome($run, $facts)
            ? PlanOutcome::choose(
                PlanKind::Prove,
                self::asItStands($facts, $judgement),
                [],
                null,
                $window->target,
            ) : null);
    }

    /**
     * Where poses lie so far apart that no setting is left which a step can hit and a reading can tell; null where one
     * is.
     */
    private static function looksAtTheRoute(
        Spec $spec,
        Run $run,
        Beliefs $beliefs,
        Judgement $judgement,
        ShiftWindow $window,
    ): ?PlanOutcome {
        $found = $judgement->nowGroup?->found;
        // Where there are no poses, nothing is worked out.
        if ($found === null || $judgement->sweep->poses === []) {
            return null;
        }
        $needed = 2 * Conformity::guard($found->spreadOf(max(self::WHOLE_GROUP, $found->count)))
            + $run->leastSlack(static fn (): bool => true) * $beliefs->play->ratio();
        $apart = $judgement->sweep->leavesTooLittleOf($spec->play()->band, $needed);

        return $apart === null
            ? null
            : PlanOutcome::look(
                PlanKind::RoutingFault,
                Suspicion::ofTheRoute($apart, $spec->play()->band),
                $window->target,
            );
    }

    /**
     * An allowance for poses that nobody read is no reason to say that nothing reaches: then it is set as well as it
     * can be, and they are read.
     *
     * @param  (callable(): ShiftWindow)|null  $known  what is known to be asked of the straight pose, where that is
     *     less; asked only where no plan is found
     * @return array{ShiftWindow, PlanMaker, ?AdjustmentPlan}
     */
    private static function planned(
        Spec $spec,
        Run $run,
        Facts $facts,
        ShiftWindow $window,
        bool $isSettled,
        ?callable $known,
    ): array {
        $maker = new PlanMaker($spec, $run, $facts, $window);
        $plan = $maker->plan($isSettled);
        // Two adjusters that undo each other bring nothing inside; they may bring one of them home.
        $plan = $isSettled || $plan === null || abs($plan->shift) > PlanMaker::NO_SHIFT ? $plan : null;

        return $plan === null && $known !== null
            ? self::planned($spec, $run, $facts, $known(), $isSettled, null)
            : [$window, $maker, $plan];
    }

    /**
     * What would decide it; where no reading here does, also whether turning could, or that nothing that turns has room
     * for it.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    private static function undecided(Judgement $judgement, ?AdjustmentPlan $plan, array $options): string
    {
        $said = $judgement->now->advice ?? '';

        return match (true) {
            $judgement->now->settles !== Settles::Nothing => $said,
            $plan === null => "{$said} ".Limits::listed($options)
                .($judgement->now->mayBeLeft() ? '' : ' Get a finer instrument, or hang the tag.'),
            ($judgement->now->chanceInside ?? 0.0) < Verdict::LIKELY => "{$said} Or turn it.",
            default => $said,
        };
    }

    /**
     * Nothing reaches further, and of the pose that wants it nobody knows that it is outside: no thread is used up and
     * no part is to blame by that.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    private static function atTheEdge(
        Judgement $judgement,
        Pose $pose,
        array $options,
        ?float $target,
    ): PlanOutcome {
        return $judgement->poses[$pose->value]->settles === Settles::Nothing
            && ($judgement->poseGroups[$pose->value]->found->count ?? 0) < self::MOST_AT_THE_EDGE
            ? PlanOutcome::choose(
                PlanKind::Read,
                "Read it again with {$pose->label()}: it stands at the edge of the band there, and no turn brings it further in. No part is blamed for that.",
                $options,
                null,
                $target,
            )
            : PlanOutcome::choose(
                PlanKind::Decide,
                trim(ucfirst($pose->label()).': '.($judgement->poses[$pose->value]->advice ?? '').' '
                    .Limits::listed($options)),
                $options,
                null,
                $target,
            );
    }

    private static function asItStands(Facts $facts, Judgement $judgement): string
    {
        return match (true) {
            $facts->chosen->byChoice !== null => 'Left outside by choice. Prove it as it is.',
            $judgement->now->is(VerdictKind::Inside) => self::PROVE,
            default => 'Left as it reads. Prove it.',
        };
    }

    /**
     * What proofs drove it from, it is not brought back to for the thread's sake: the part of the band that is left;
     * null where that is no room.
     */
    private static function allowed(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        SpecBand $band,
    ): ?SpecBand {
        return $judgement->nowGroup === null
            ? $band
            : ProofEvidence::of($spec, $run, $facts)->allowed(
                $band,
                $judgement->nowGroup->found->mean,
                $beliefs->play->ratio(),
            );
    }

    /**
     * Inside its band, and a proof failed: the smallest step that the proofs allow within it, or where else to look;
     * null where none failed.
     */
    private static function finer(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        ShiftWindow $window,
        SpecBand $band,
    ): ?PlanOutcome {
        $evidence = ProofEvidence::of($spec, $run, $facts);
        if ($evidence->failed === [] || $judgement->nowGroup === null) {
            return null;
        }
        $room = $evidence->room($judgement->nowGroup, $band, $beliefs->play->ratio());
        $narrow = $room === null
            ? null
            : new ShiftWindow(
                $beliefs->play,
                $room,
                null,
                $window->noise,
                ($room->floor() + $room->ceiling()) / 2,
                false,
            );
        $maker = $narrow === null ? null : new PlanMaker($spec, $run, $facts, $narrow);
        if ($maker === null) {
            return PlanOutcome::choose(PlanKind::Suspect, $evidence->elsewhere(), [], null, $window->target);
        }

        return self::finest($run, $evidence, $maker, $narrow)
            ?? PlanOutcome::choose(PlanKind::Suspect, $evidence->elsewhere(), [], null, $window->target);
    }

    /**
     * The smallest step that way; null where none is left. What is fine-tuned is turned where the hand reaches it, so
     * long as that stays healthy; else as any move is planned.
     */
    private static function finest(
        Run $run,
        ProofEvidence $evidence,
        PlanMaker $maker,
        ShiftWindow $narrow,
    ): ?PlanOutcome {
        $givesSlack = $evidence->bearing() === Bearing::MoreSlack;
        $isThatWay = static fn (?AdjusterAdvice $one): bool => $one?->steps !== null
            && (($run->adjuster($one->adjuster)?->slackGiven($one->steps) ?? 0.0) > 0.0) === $givesSlack;
        $options = array_filter(array_filter(array_map($maker->alone(...), $run->playAdjusters())), $isThatWay);
        $near = $options[$run->inReach()?->id() ?? ''] ?? null;
        $plan = $near?->healthyAfter === true ? null : $maker->plan();
        $first = $near?->healthyAfter === true ? $near : $plan?->steps[0];

        return $first === null || ! $isThatWay($first) ? null : PlanOutcome::choose(
            PlanKind::Move,
            $evidence->said().' '.$first->sentence,
            [$first->adjuster => $first] + $options,
            $first->adjuster,
            $narrow->target,
            $plan,
        );
    }

    private static function window(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        SpecBand $band,
    ): ShiftWindow {
        $found = $judgement->nowGroup?->found;
        $target = self::target($spec, $facts, $band);

        return new ShiftWindow(
            $beliefs->play,
            $band,
            Conformity::acceptance(
                $band,
                $found?->spreadOf(max(self::WHOLE_GROUP, $found->count)) ?? Spread::of(0.0),
                $spec->rule,
            ),
            $found?->standardOfNext() ?? 0.0,
            $target === null
                ? null
                : max(
                    $band->floor(),
                    min($band->ceiling(), $target - $beliefs->creep->expectedAt($beliefs->play->ratio())),
                ),
            ! $beliefs->play->hasLearned(),
            leastStep: self::leastStep($run, $facts),
        );
    }

    /** The least slack that can be given or taken here, in mm of conduit; nothing where nothing turns. */
    private static function leastStep(Run $run, Facts $facts): float
    {
        $least = $run->leastSlack(
            static fn (Adjuster $one): bool => ! $one->kind()->isLastResort() && ! $facts->isSeized($one),
        );

        return is_infinite($least) ? 0.0 : $least;
    }

    /** Whether the person left it as it reads, since the instrument can say no more. */
    private static function isLeftAsRead(Spec $spec, Facts $facts): bool
    {
        return isset($facts->chosen->enough[ReadEnough::place($spec->play()->point, Pose::Straight)]);
    }

    /**
     * A verdict that can't be told is read again where reading settles it; else it is turned, where that makes play
     * likelier to be inside by more than a little.
     */
    private static function isWorthTurning(
        Judgement $judgement,
        ShiftWindow $window,
        ?AdjustmentPlan $plan,
        Swinging $swinging,
    ): bool {
        $found = $judgement->nowGroup?->found;
        $settles = $judgement->now->settles;
        if ($plan === null || $found === null || $swinging->wouldSwing($plan->shift)) {
            return false;
        }
        $isProbablyInside = ($judgement->now->chanceInside ?? 0.0) >= self::LIKELY;

        $now = $window->chanceOfTruth(0.0);

        return match (true) {
            $settles !== Settles::Nothing && $isProbablyInside => false,
            $window->chanceOfTruth($plan->shift) - $now >= self::WORTH => true,
            // What is not even likely is turned once more: the reading after it tells which of two things is so.
            default => $now < self::LIKELY && $swinging->reversals() === 0,
        };
    }

    /** Inside its band, but with the adjuster in reach outside its healthy zone: service goes on until it is home. */
    private static function mayBringHome(Run $run, Facts $facts): bool
    {
        return ChosenMode::of($run, $facts) === SettingMode::Service && ChosenMode::isUnhealthyInReach($run, $facts);
    }

    /** Whether it brings the adjuster in reach home and drives none out of its healthy zone for that. */
    private static function bringsHome(Run $run, Facts $facts, ?AdjustmentPlan $plan): bool
    {
        return $plan !== null
            && array_filter($plan->steps, static fn (AdjusterAdvice $step): bool => ! $step->healthyAfter) === []
            && array_filter(
                $plan->steps,
                static fn (AdjusterAdvice $step): bool => self::isWorthBringing($run, $facts, $step),
            ) !== [];
    }

    /**
     * Whether a step brings the adjuster in reach into its healthy zone, or nearer to it by half a turn: for less
     * nothing is loosened again (ours).
     */
    private static function isWorthBringing(Run $run, Facts $facts, AdjusterAdvice $step): bool
    {
        $near = $run->inReach();
        $at = $near === null ? null : $facts->adjusters->at($near);
        if ($near === null || $at === null || $step->adjuster !== $near->id() || $step->steps === null) {
            return false;
        }
        $zone = $near->healthy();
        $away = static fn (Steps $to): int => max(0, $zone->from->count - $to->count, $to->count - $zone->to->count);
        $nearer = $away($at) - $away($at->plus($step->steps));

        return $zone->contains($at->plus($step->steps)) || $nearer >= self::WORTH_LOOSENING;
    }

    private static function wasFoundUnhealthy(Run $run, Facts $facts): bool
    {
        $near = $run->inReach();
        $home = $facts->adjusters->homeOf($near?->id() ?? '');

        return $near !== null && $home !== null && ! $near->healthy()->contains($home);
    }

    /**
     * Whether play stays as near to its target as it is, or within half the way from there to an edge (ours). What this
     * job itself turned out of its zone to bring play inside is not turned back to the edge of the band for the
     * thread's sake.
     */
    private static function staysWell(ShiftWindow $window, ?AdjustmentPlan $plan): bool
    {
        if ($plan === null || $window->target === null) {
            return true;
        }
        $after = $window->expected($plan->shift) - $window->target;
        $edge = $after < 0.0 ? $window->target - $window->band->floor() : $window->band->ceiling() - $window->target;

        return abs($after) <= max(abs($window->expected(0.0) - $window->target), $edge / 2);
    }

    /**
     * Taut, with nothing above zero read yet: give the slack that would bring it to the target if it were just taut.
     */
    private static function slacken(
        Spec $spec,
        Run $run,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        SpecBand $band,
    ): PlanOutcome {
        $target = self::target($spec, $facts, $band) ?? $band->floor() + 1.0;
        $stays = Suspicion::ofStayingTaut($spec, $facts, $beliefs);
        if ($stays !== null) {
            return self::isReadOnce($judgement)
                ? PlanOutcome::readAgain(Pose::Straight, self::TAUT_ONCE_MORE)
                : PlanOutcome::look(PlanKind::Suspect, $stays, $target);
        }
        $slack = $target / exp($beliefs->play->taught()->ln);
        $usual = array_filter($run->playAdjusters(), static fn (Adjuster $a): bool => ! $a->kind()->isLastResort());
        $options = array_map(
            static fn (Adjuster $a): AdjusterAdvice => $facts->isSeized($a)
                ? self::seized($a, null)
                : Slackening::with(
                    $a,
                    $facts->adjusters->at($a),
                    $facts->adjusters->room($a),
                    $slack,
                ),
            $usual,
        );
        $recommended = self::easiest($options, $run, $facts);

        return $recommended === null
            ? PlanOutcome::outOfThread(Limits::ofSlack($spec, $facts, $options), $options, $target)
            : PlanOutcome::choose(PlanKind::Move, $options[$recommended]->sentence, $options, $recommended, $target);
    }

    /** Where in the band to aim, in mm; null where only a low edge is given and the smallest good move is best. */
    public static function target(Spec $spec, Facts $facts, SpecBand $band): ?float
    {
        return match (true) {
            $facts->chosen->like !== null => $facts->chosen->like->mm,
            $facts->chosen->policy === null
                && $facts->chosen->wish?->mm !== null
                && $band->contains($facts->chosen->wish->mm) => $facts->chosen->wish->mm,
            $band->high === null => null,
            default => $band->floor()
                + ($facts->chosen->policy ?? $spec->policy)->share() * ($band->high - $band->floor()),
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
            $minutes = $access === null || isset($facts->adjusters->coversOff[$id]) ? 0.0 : $access->minutes;
            $cost = $minutes
                + ($advice->healthyAfter
                    ? 0.0
                    : ($facts->adjusters->at($id) === null ? 1000.0 : 2000.0));
            if ($advice->moves() && $cost < $bestCost) {
                [$best, $bestCost] = [$id, $cost];
            }
        }

        return $best;
    }

    /**
     * How an old adjuster is freed (common practice, no source): rust can lock it to its wire, and turned on it twists
     * that off.
     */
    private static function seized(Adjuster $adjuster, ?float $reads): AdjusterAdvice
    {
        return AdjusterAdvice::outOfThread(
            $adjuster->id(),
            $reads,
            "{$adjuster->name()}: it will not turn. ".AdjusterAdvice::FREE,
        );
    }

    private static function used(
        PlanMaker $maker,
        ShiftWindow $window,
        Facts $facts,
        Adjuster $adjuster,
    ): AdjusterAdvice {
        if ($facts->isSeized($adjuster)) {
            return self::seized($adjuster, $window->expected(0.0));
        }
        $isUnseen = $facts->adjusters->at($adjuster) === null;
        $best = $isUnseen ? $window->expected(0.0) : $maker->furthest($adjuster);
        $canGo = $maker->canGo($adjuster, $window->aim());
        if ($window->band->contains($best) && $canGo) {
            return AdjusterAdvice::outOfThread(
                $adjuster->id(),
                $best,
                "{$adjuster->name()}: no step of it brings play further inside.",
            );
        }
        if ($isUnseen) {
            return AdjusterAdvice::outOfThread(
                $adjuster->id(),
                $best,
                $canGo
                    ? "{$adjuster->name()}: where it stands is not known. Look at it first, for it may reach."
                    : "{$adjuster->name()}: it was moved that way as far as it can go. Look at where it stands.",
            );
        }
        $way = $window->aim() < 0.0 ? 'take up' : 'give';
        $room = $adjuster->kind()->isThreaded() ? 'not enough thread' : 'not enough room';

        return AdjusterAdvice::outOfThread($adjuster->id(), $best,
            "{$adjuster->name()}: {$room} to {$way} the slack; at its end it would still read about "
                .Figure::length(max(0.0, $best)).'.');
    }
}
