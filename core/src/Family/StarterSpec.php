<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\FreePlayBand;

/** What a spec of a family begins from, until its book is at hand. */
final readonly class StarterSpec
{
    /**
     * @param  list<AdjusterKind>  $adjusters  as they are usually fitted, from the hand to the working end
     * @param  FreePlayBand|null  $practice  common practice, no source; null where the trade has no figure
     * @param  list<Aim>  $aims  what it must do beside having play
     * @param  list<string>  $cables  names, where there are several
     */
    public function __construct(
        public HandKind $hand,
        public string $handName,
        public string $workingEnd,
        public array $adjusters,
        public ?FreePlayBand $practice,
        public array $aims = [],
        public array $cables = [],
    ) {}
}
