<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Quantity\Turns;

/** What one adjuster could do next. Lengths in mm. */
final readonly class AdjusterAdvice
{
    private function __construct(
        public string $adjuster,
        public AdviceKind $kind,
        public ?Turns $steps,
        /** The reading to expect; null where nothing has placed the play yet. */
        public ?float $expected,
        public ?float $low,
        public ?float $high,
        public ?float $chance,
        /** Thread left in the direction of the move, after it; null where the position is unknown. */
        public ?float $threadLeft,
        public bool $healthyAfter,
        public string $sentence,
    ) {}

    /** @param  array{float, float}  $range */
    public static function move(
        string $adjuster,
        Turns $steps,
        float $expected,
        array $range,
        float $chance,
        ?float $threadLeft,
        bool $healthyAfter,
        string $sentence,
    ): self {
        return new self($adjuster, AdviceKind::Move, $steps, $expected, $range[0], $range[1], $chance, $threadLeft, $healthyAfter, $sentence);
    }

    public static function giveSlack(string $adjuster, Turns $steps, ?float $threadLeft, bool $healthyAfter, string $sentence): self
    {
        return new self($adjuster, AdviceKind::GiveSlack, $steps, null, null, null, null, $threadLeft, $healthyAfter, $sentence);
    }

    public static function outOfThread(string $adjuster, float $bestExpected, string $sentence): self
    {
        return new self($adjuster, AdviceKind::OutOfThread, null, $bestExpected, null, null, null, null, false, $sentence);
    }

    public function moves(): bool
    {
        return $this->steps !== null;
    }
}
