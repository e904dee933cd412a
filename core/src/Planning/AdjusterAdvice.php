<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;

/** What one adjuster could do next. Lengths in mm. */
final readonly class AdjusterAdvice
{
    /** How one that will not turn is freed (common practice, no source). */
    public const FREE = 'Oil it and let that soak in, hold the wire, keep the spanner short and close, and stop before the wire twists.';

    private const COVERAGE = 0.95;

    private function __construct(
        public string $adjuster,
        public AdviceKind $kind,
        public ?Steps $steps,
        /** The reading to expect; null where nothing has placed the play yet. */
        public ?float $expected,
        public ?float $low,
        public ?float $high,
        public ?float $chance,
        /** Room left in the direction of the move, after it, as it is said; null where the position is unknown. */
        public ?string $roomLeft,
        public bool $healthyAfter,
        public string $sentence,
    ) {}

    /**
     * A move towards the band, on top of what other moves of a plan give before it.
     *
     * @param  float  $before  mm of slack given by them
     */
    public static function towards(
        ShiftWindow $window,
        Adjuster $adjuster,
        ?Steps $at,
        Steps $steps,
        float $before,
    ): self {
        $shift = $before + $adjuster->slackGiven($steps);
        $way = $window->way ?? (float) ($adjuster->slackGiven($steps) <=> 0.0);
        [$low, $high] = array_map(
            static fn (float $mm): float => max(0.0, $mm),
            $window->play->range(self::COVERAGE, $shift, $window->noise, $way),
        );
        $expected = $window->play->expected($shift, $way);
        $room = self::roomAfter($adjuster, $at, $steps);

        return new self(
            $adjuster->id(),
            AdviceKind::Move,
            $steps,
            $expected,
            $low,
            $high,
            $window->chance($shift),
            $room,
            self::isHealthy($adjuster, $at?->plus($steps)),
            "{$adjuster->name()}, {$adjuster->say($steps)}; expect ".Figure::length(max(0.0, $expected)).' ('
                .Figure::length($low)->bare().' to '.Figure::length($high)->bare().'); '
                .($room === null ? 'what is left is not known' : "{$room} left after").'.',
        );
    }

    public static function giveSlack(Adjuster $adjuster, ?Steps $at, Steps $steps): self
    {
        return new self(
            $adjuster->id(),
            AdviceKind::GiveSlack,
            $steps,
            null,
            null,
            null,
            null,
            self::roomAfter($adjuster, $at, $steps),
            self::isHealthy($adjuster, $at?->plus($steps)),
            "{$adjuster->name()}, {$adjuster->say($steps)}: give slack first, then read. A taut cable says nothing about how taut it is.",
        );
    }

    public static function outOfThread(string $adjuster, ?float $bestExpected, string $sentence): self
    {
        return new self(
            $adjuster,
            AdviceKind::OutOfThread,
            null,
            $bestExpected,
            null,
            null,
            null,
            null,
            false,
            $sentence,
        );
    }

    public function moves(): bool
    {
        return $this->steps !== null;
    }

    /** Where nobody measured where it stands, nothing is claimed of its health. */
    private static function isHealthy(Adjuster $adjuster, ?Steps $after): bool
    {
        return $after !== null && $adjuster->healthy()->contains($after);
    }

    private static function roomAfter(Adjuster $adjuster, ?Steps $at, Steps $steps): ?string
    {
        $after = $at?->plus($steps);

        return $after === null
            ? null
            : $adjuster->room(
                $steps->count < 0 ? $after->minus($adjuster->travel()->from) : $adjuster->travel()->to->minus($after),
            );
    }
}
