<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use LogicException;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\Judging;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Spec\Spec;

/**
 * One cable of a control: what it is held against, its run, what happened on it, what that says and what is advised.
 * A control has one; or two, where a second is read by itself: the closing one of a push-pull pair, or the one behind
 * a governor.
 */
final readonly class CableState
{
    private function __construct(
        public Spec $spec,
        public Run $run,
        public Facts $facts,
        public Judgement $judgement,
        public Advice $advice,
        public bool $isSecond,
    ) {}

    /** @param  self|null  $second  the other cable, whose poses stand in the way of using the control as well */
    public static function first(Spec $spec, Run $run, Facts $facts, ?self $second): self
    {
        return self::of($spec, $run, $facts, Judging::judge($spec, $run, $facts, $second?->judgement), false);
    }

    /** Null where the control has one cable, or its second has no figure of its own. */
    public static function second(Spec $spec, Run $run, Facts $facts): ?self
    {
        [$spec, $run, $facts] = [$spec->ofSecond(), $run->second(), $facts->ofSecond()];

        return $spec === null || $run === null || $facts === null
            ? null
            : self::of($spec, $run, $facts, Judging::judge($spec, $run, $facts), true);
    }

    private static function of(Spec $spec, Run $run, Facts $facts, Judgement $judgement, bool $isSecond): self
    {
        return new self($spec, $run, $facts, $judgement, new Advice($spec, $run, $facts, $judgement), $isSecond);
    }

    /**
     * Where its play is read.
     *
     * @throws LogicException Where no play is read on it.
     */
    public function point(): ReadingPoint
    {
        return $this->spec->play()->point;
    }

    /** What was learned of it. */
    public function beliefs(): Beliefs
    {
        return $this->advice->beliefs();
    }
}
