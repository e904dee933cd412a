<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\LeftByChoice;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Spec\SetLike;
use VividPull\Core\Spec\SettingMode;

/** How the person chose to set it in this job; null where nobody chose and the spec or the shop decides. */
final readonly class ChosenFacts
{
    public function __construct(
        public ?Policy $policy,
        public ?SettingMode $mode,
        public ?Parking $parking,
        public ?SetLike $like,
        public ?LeftByChoice $byChoice,
        /** Whether only play is to be read, as long as nothing is wrong; null where a whole job was begun. */
        public ?bool $isCheck = null,
        /** How its rider wants it; null where nobody said. */
        public ?RidersWish $wish = null,
        /** @var array<string, ReadEnough> readings left as they are at this setting, by point and pose */
        public array $enough = [],
    ) {}
}
