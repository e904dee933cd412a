<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Quantity\Steps;

/** How one cable of the shop's book would do on a control. */
final readonly class BookMatch
{
    /**
     * @param  array<string, Steps>  $lands  where each adjuster would land, by adjuster; none where that is not known
     */
    public function __construct(
        public int $cable,
        public CableMatch $match,
        public array $lands,
        /**
         * Whether a cable of this number was fitted to this control before (true), was tried and refused (false), or
         * neither.
         */
        public ?bool $before,
    ) {}

    /** The better ones have the lower rank: what was refused here comes last, whatever its lengths say. */
    public function rank(): int
    {
        return $this->before === false ? 9 : match ($this->match->verdict) {
            MatchVerdict::Fits => 0,
            MatchVerdict::AtItsEnd => 1,
            MatchVerdict::CannotTell => 2,
            MatchVerdict::DoesNotFit => 3,
        };
    }
}
