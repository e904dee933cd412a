<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Spec\SetLike;
use VividPull\Core\Spec\SettingMode;

/**
 * How to set it from here on: where in the band to aim, how far the work goes, where to park. Null leaves a thing as it
 * was.
 */
final readonly class PolicyChosen extends Entry
{
    public function __construct(
        Stamp $stamp,
        public ?Policy $policy,
        public ?SettingMode $mode = null,
        public ?Parking $parking = null,
        public ?SetLike $like = null,
        public ?RidersWish $wish = null,
        /** Whether what was begun as a check goes on as a whole job. */
        public bool $isWhole = false,
    ) {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Policy;
    }

    public function say(): string
    {
        return implode('. ', array_filter([
            $this->policy === null ? null : 'Aim for '.$this->policy->label(),
            $this->like === null ? null : "Set like {$this->like->machine}: ".Figure::length($this->like->mm),
            $this->wish === null ? null : 'Rider\'s wish: '.$this->wish->say(),
            $this->mode === null ? null : 'Work as '.$this->mode->label(),
            $this->parking === null ? null : 'Park at '.$this->parking->label(),
            $this->isWhole ? 'Go on as a whole job' : null,
        ], is_string(...)));
    }
}
