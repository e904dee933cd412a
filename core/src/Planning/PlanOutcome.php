<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Procedure\Suspect;

/** What to do next about the play, with what each adjuster could do; the person chooses which. */
final readonly class PlanOutcome
{
    /** @param  array<string, AdjusterAdvice>  $options  by adjuster */
    private function __construct(
        public PlanKind $kind,
        public string $sentence,
        public array $options,
        public ?string $recommended,
        public ?float $target,
        public ?AdjustmentPlan $plan,
        /**
         * The pose whose single reading may be misread, and is taken once more before anything follows from it; null
         * where none is.
         */
        public ?Pose $again = null,
        /** Whether what is looked for here was looked for before, and nothing was found. */
        public bool $isLookedAt = false,
        public ?SettledBy $settledBy = null,
        /** @var list<Suspect> what may be at fault where nothing that turns brings it inside */
        public array $suspects = [],
    ) {}

    public static function say(PlanKind $kind, string $sentence): self
    {
        return new self($kind, $sentence, [], null, null, null);
    }

    /**
     * Nothing that turns brings it inside.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    public static function outOfThread(Limits $limits, array $options, ?float $target): self
    {
        return new self(
            PlanKind::OutOfThread,
            $limits->sentence,
            $options,
            null,
            $target,
            null,
            suspects: $limits->suspects,
        );
    }

    /** Nothing is to be turned before what is suspected is settled, so no turn stands beside it. */
    public static function look(PlanKind $kind, Suspicion $suspicion, ?float $target): self
    {
        return new self(
            $kind,
            $suspicion->sentence,
            [],
            null,
            $target,
            null,
            settledBy: $suspicion->settledBy,
            suspects: $suspicion->suspects,
        );
    }

    /** @param  array<string, AdjusterAdvice>  $options */
    public static function choose(
        PlanKind $kind,
        string $sentence,
        array $options,
        ?string $recommended,
        ?float $target,
        ?AdjustmentPlan $plan = null,
        ?SettledBy $settledBy = null,
    ): self {
        return new self($kind, $sentence, $options, $recommended, $target, $plan, settledBy: $settledBy);
    }

    /** Whether something of the machine is to be looked for, and it may be that nothing is found there. */
    public function isLookedFor(): bool
    {
        return $this->kind->isLookedFor() && $this->settledBy !== SettledBy::Finer;
    }

    public function adding(string $sentence): self
    {
        return $this->said($sentence, $this->isLookedAt);
    }

    /** The same, where nothing was found by looking: the sentence says what is left to do. */
    public function lookedAt(string $sentence): self
    {
        return $this->said($sentence, true);
    }

    private function said(string $more, bool $isLookedAt): self
    {
        return new self(
            $this->kind,
            "{$this->sentence} {$more}",
            $this->options,
            $this->recommended,
            $this->target,
            $this->plan,
            $this->again,
            $isLookedAt,
            $this->settledBy,
            $this->suspects,
        );
    }

    /**
     * One reading may be misread: it is taken once more before anything follows from it.
     *
     * @param  array<string, AdjusterAdvice>  $options
     */
    public static function readAgain(Pose $pose, string $sentence, array $options = [], ?float $target = null): self
    {
        return new self(PlanKind::Read, $sentence, $options, null, $target, null, $pose);
    }
}
