<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Facts\Refit;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\GuideStepDone;
use VividPull\Core\Log\Entry\PolicyChosen;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\Planner;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\LockStep;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Spec;

/** What is asked of adjusters: where each stands, the steps of a guided one, its lock, and its cover back on. */
final readonly class AdjusterItems
{
    private Spec $spec;

    private Run $run;

    private Facts $facts;

    public function __construct(private CableState $cable)
    {
        [$this->spec, $this->run, $this->facts] = [$cable->spec, $cable->run, $cable->facts];
    }

    /** @return list<StageItem> */
    public function threads(): array
    {
        $reachable = array_filter(
            $this->run->adjusters(),
            fn (Adjuster $a): bool => in_array(
                $a->kind()->sets(),
                [AdjustedQuantity::Play, AdjustedQuantity::Speed],
                true,
            )
                && ($a->access()->cover === null
                    || isset($this->facts->adjusters->coversOff[$a->id()])
                    || isset($this->facts->adjusters->threads[$a->id()])),
        );

        return array_values(array_map($this->thread(...), $reachable));
    }

    private function thread(Adjuster $adjuster): StageItem
    {
        $noted = $this->facts->adjusters->threads[$adjuster->id()] ?? null;
        $before = $this->facts->standing->positions[$adjuster->id()] ?? null;
        $unit = $adjuster->counting()->unit;
        $answers = $before === null
            ? []
            : [new Answer(
                'ok',
                "As before: {$adjuster->where($before)}",
                ThreadNoted::draft($adjuster, $before->toFloat()),
                AnswerTone::Right,
            )];
        foreach ([ThreadState::Unseen, ThreadState::Marked, ThreadState::Seized] as $state) {
            $answers[] = new Answer(
                $state->value,
                (string) $state->label(),
                ThreadNoted::draftUncounted($adjuster->id(), $state),
            );
        }

        return new StageItem(
            "thread:{$adjuster->id()}",
            ItemKind::Thread,
            $adjuster->kind()->isThreaded()
                ? "Thread showing at the {$adjuster->name()}"
                : "Where the {$adjuster->name()} stands, in "
                    .($unit === StepUnit::Millimetre ? Figure::lengthUnit() : $unit->plural()),
            new ItemState($noted !== null, said: match (true) {
                $noted === null => null,
                $noted->position === null => $noted->state->label(),
                default => $adjuster->where($noted->position),
            }, stamp: $noted?->stamp),
            'Its home mark: where it stood before anyone touched it.',
            answers: $answers,
            subject: new ItemSubject($adjuster->id()),
        );
    }

    /**
     * The steps of what is set by steps, once they are begun or its cover is off.
     *
     * @param  bool  $afterCable  those that come once the cable is set
     * @return list<StageItem>
     */
    public function guides(bool $afterCable = false): array
    {
        $items = [];
        foreach ($this->run->adjusters() as $id => $adjuster) {
            $done = count($this->facts->adjusters->guides[$id] ?? []);
            if (! isset($this->facts->adjusters->guides[$id]) && ! isset($this->facts->adjusters->coversOff[$id])) {
                continue;
            }
            foreach (Guide::of($adjuster->kind()) as $place => $step) {
                if ($step->isAfterCable !== $afterCable) {
                    continue;
                }
                $items[] = new StageItem(
                    "guide:{$id}:{$step->key}",
                    ItemKind::Answer,
                    $this->guideLabel($step),
                    new ItemState($place < $done, said: $place < $done ? 'Done' : null),
                    ucfirst($adjuster->name()).', step '.($place + 1).' of '.count(Guide::of($adjuster->kind())).'.',
                    $step->caution,
                    [new Answer(
                        'ok',
                        'Done',
                        GuideStepDone::draft($id, $step->key),
                        AnswerTone::Right,
                        $step->asks !== null,
                        $step->asks,
                    )],
                    subject: new ItemSubject($id),
                );
            }
        }

        return $items;
    }

    /** A push rod is backed off as the book has it, where it says. */
    private function guideLabel(GuideStep $step): string
    {
        return $step->key === 'back' && $this->spec->book->backOff !== null
            ? "Back it out {$this->spec->book->backOff}, as the book has it"
            : $step->label;
    }

    /** @return list<StageItem> in service, the adjuster in reach that stood outside its healthy zone */
    public function broughtHome(): array
    {
        $near = $this->run->inReach();
        $home = $near === null ? null : $this->facts->adjusters->homeOf($near);
        $at = $near === null ? null : $this->facts->adjusters->at($near);
        if ($near === null || $home === null || $at === null || ! $this->isBroughtHome($near, $home, $at)) {
            return [];
        }
        $done = $near->healthy()->contains($at);
        $unseen = Planner::notLookedAt($this->run, $this->facts);
        $stays = ! $done && $unseen === [] && $this->staysOut();
        $stands = ucfirst($near->where($at));
        $said = match (true) {
            $done => $stands,
            $stays => "{$stands}. It stays there: nothing else is known to have room to take that up inside the band",
            default => null,
        };
        $first = $unseen === []
            ? 'Take up at the other end.'
            : "Look at the {$unseen[0]->name()} first: it may take that up.";
        $leave = new Answer('touch-up', 'Leave it for the next service', PolicyChosen::draft(SettingMode::TouchUp));

        return [new StageItem(
            "home:{$near->id()}",
            ItemKind::InBand,
            "Bring the {$near->name()} back into its healthy zone",
            new ItemState($done || $stays, said: $said),
            "Outside it, the {$near->name()} wobbles and may snap. {$first} Or leave it for the next service.",
            answers: $done || $stays ? [] : [$leave],
        )];
    }

    /** Whether it stood outside its zone, and is to be brought back: in service, or where it was so already. */
    private function isBroughtHome(Adjuster $near, Steps $home, Steps $at): bool
    {
        return count($this->run->playAdjusters()) > 1
            && ! $near->healthy()->contains($home)
            && ($near->healthy()->contains($at) || ChosenMode::of($this->run, $this->facts) === SettingMode::Service)
            && ! $this->isAPoseInQuestion();
    }

    /**
     * What is read again or asked about with the bars turned comes by its own item, before anything is turned for the
     * thread's sake.
     */
    private function isAPoseInQuestion(): bool
    {
        $again = $this->cable->judgement->poseToReadAgain() ?? Pose::Straight;
        $doubted = array_filter(
            $this->cable->judgement->poseGroups,
            static fn (ReadingGroup $one, string $pose): bool => $pose !== Pose::Straight->value
                && $one->doubt !== null,
            ARRAY_FILTER_USE_BOTH,
        );

        return $again !== Pose::Straight || $doubted !== [];
    }

    /**
     * Where the bench itself says that there is nothing left but to prove it, or to read a pose at the edge, it stays.
     */
    private function staysOut(): bool
    {
        $next = $this->cable->judgement->nowGroup === null ? null : $this->cable->advice->outcome();

        return $next?->kind === PlanKind::Prove
            || ($next !== null && $next->plan === null && $this->cable->judgement->poseAtTheEdge() !== null);
    }

    /** @return list<StageItem> */
    public function locks(): array
    {
        $items = [];
        foreach (array_intersect_key($this->run->adjusters(), $this->facts->adjusters->loosened) as $id => $adjuster) {
            $done = isset($this->facts->adjusters->locked[$id]);
            $kind = $adjuster->kind();
            $items[] = new StageItem(
                "lock:{$id}",
                ItemKind::Answer,
                "{$kind->fastening()} the {$adjuster->name()}",
                new ItemState($done, said: $done ? $kind->fastened() : null),
                caution: $kind->fasteningCaution(),
                answers: [new Answer(
                    'ok',
                    $kind->fastened(),
                    Confirmed::draft(LockStep::KEY, $id),
                    AnswerTone::Right,
                )],
                subject: new ItemSubject($id),
            );
        }

        return $items;
    }

    /** @return list<StageItem> */
    public function coversBack(): array
    {
        $items = [];
        foreach (Refit::of($this->spec, $this->run, $this->facts)->coversOff() as $id => $cover) {
            $items[] = new StageItem(
                "cover:{$id}",
                ItemKind::Answer,
                ucfirst($cover).' back on',
                ItemState::open(),
                answers: [new Answer(
                    'ok',
                    'Back on',
                    CoverMoved::draft($id, false),
                    AnswerTone::Right,
                )],
                subject: new ItemSubject($id),
            );
        }

        return $items;
    }
}
