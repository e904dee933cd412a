<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\LeftByChoice;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\Entry\PolicyChosen;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Spec\SetLike;
use VividPull\Core\Spec\SettingMode;

/** What people choose, as it comes: where to aim, how to set, and what to leave as it is. */
final class Choices
{
    private ?Policy $policy = null;

    private ?SettingMode $mode = null;

    private ?Parking $parking = null;

    private ?SetLike $like = null;

    private ?LeftByChoice $byChoice = null;

    private ?bool $isCheck;

    private ?RidersWish $wish;

    /** @var array<string, ReadEnough> */
    private array $enough = [];

    public function __construct(Opened $opened, private readonly UnseenChanges $unseen)
    {
        $this->isCheck = $opened->isCheck ? true : null;
        $this->wish = $opened->standing->history->wish;
    }

    /** Aiming in the band by a policy and aiming like another machine stand in each other's place. */
    public function choose(PolicyChosen $chosen): void
    {
        if ($chosen->policy !== null || $chosen->like !== null) {
            [$this->policy, $this->like] = [$chosen->policy ?? $this->policy, $chosen->like];
        }
        if ($chosen->wish !== null) {
            // What is wished is aimed for at once.
            [$this->wish, $this->policy, $this->like] = [$chosen->wish->isNone() ? null : $chosen->wish, null, null];
        }
        $this->mode = $chosen->mode ?? $this->mode;
        $this->parking = $chosen->parking ?? $this->parking;
        $this->isCheck = $chosen->isWhole && $this->isCheck !== null ? false : $this->isCheck;
    }

    public function leaveByChoice(LeftByChoice $left): void
    {
        $this->byChoice = $this->unseen->overtook($left, UnseenChanges::STANDS) ? null : $left;
    }

    public function leaveAsItReads(ReadEnough $left): void
    {
        if (! $this->unseen->overtook($left, UnseenChanges::STANDS, UnseenChanges::LOCKED)) {
            $this->enough += [ReadEnough::place($left->point, $left->pose) => $left];
        }
    }

    /** It stands otherwise: what was left as it was is not left so. */
    public function standsOtherwise(): void
    {
        $this->byChoice = null;
        $this->lock();
    }

    /** A lock turns what it locks: it may read otherwise. */
    public function lock(): void
    {
        $this->enough = [];
    }

    public function isAnyLeft(): bool
    {
        return $this->byChoice !== null;
    }

    public function facts(): ChosenFacts
    {
        return new ChosenFacts(
            $this->policy,
            $this->mode,
            $this->parking,
            $this->like,
            $this->byChoice,
            $this->isCheck,
            $this->wish,
            $this->enough,
        );
    }
}
