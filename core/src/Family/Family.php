<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\CouplingRatio;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecFamily;
use VividPull\Core\Spec\TableDrawing;
use VividPull\Core\Trace\WorkingEnd;

/** One family of controls: what is particular to it, declared. Nothing in here computes. */
interface Family extends SpecFamily
{
    public function title(): string;

    /** The reading ratio to begin with where no geometry is known. */
    public function usualRatio(ReadingPoint $point): CouplingRatio;

    public function startingPolicy(): Policy;

    /** Whether a reading may be left outside its band by choice. */
    public function allowsByChoice(): bool;

    /** Which way use takes its play, where the control's own history says nothing else; common practice, no source. */
    public function drift(): Drift;

    /** What a spec of it begins from, until its book is at hand. */
    public function starting(): StarterSpec;

    /** What moves its play by itself, by the way it goes. */
    public function wearCause(Drift $seen): WearCause;

    /** @return list<Step> what is confirmed before hands go near */
    public function makeSafe(): array;

    /** @return list<Measure> what is measured beside the play, where the spec has a limit for it */
    public function measures(Spec $spec): array;

    /** @return list<Cure> what is put right where no adjuster is the cure */
    public function cures(): array;

    /** What to look at where an adjuster has to be taken up again and again. */
    public function againAndAgain(): string;

    /** @return list<string> what is used up on it in a service, in the order in which it is laid out */
    public function consumables(): array;

    /** Whether a new machine is looked at again after its first uses, since its belt and cable bed in. */
    public function bedsIn(): bool;

    /** What its cable works against, where a curve of the pull tells something of it; null where it does not. */
    public function workingEnd(): ?WorkingEnd;

    /** As what its settings are drawn, where it is set by what it does. */
    public function drawing(): TableDrawing;

    /** @return list<string> faults that imitate a bad adjustment */
    public function imitators(): array;

    /** Why there is nothing to set, and what to do instead; null where there is. */
    public function notSettable(): ?string;

    /** @return list<Gate> what cannot be closed as fit for use */
    public function gates(): array;

    /** @return list<Step> what is put back before anything is run: covers that are tracked come by themselves */
    public function refit(): array;

    /** Whether trying a setting of its table runs the machine. */
    public function runsItsTable(): bool;

    /** The caution at each trial of a setting; null where it has no table. */
    public function tryingCaution(): ?string;

    /** @return non-empty-list<GuideStep> how its cable is replaced, step by step, from the first after the reason */
    public function replacing(): array;

    /** @return list<Step> what is put back at the end */
    public function closing(): array;

    /** @return list<string> short cautions for the head of a stage */
    public function cautions(JobStage $stage): array;
}
