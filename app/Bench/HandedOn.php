<?php

declare(strict_types=1);

namespace App\Bench;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Carryover;
use VividPull\Core\Facts\Pooling;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\StandingCodec;

/** What a signed job hands on to the next one of its control, and to those like it. */
final readonly class HandedOn
{
    /**
     * @param  array<string, float|null>  $positions  in steps, by adjuster; null is unknown
     * @param  list<array{person: string, instrument: string, squares: float, freedom: int}>  $spread  how readings of
     *     one group lay apart
     * @param  array<string, array<string, float|int>>  $taught  what is known of the ratio, by reading point
     * @param  array<string, float|int>|null  $creep  sums over what locking did
     * @param  array<string, mixed>|null  $wish
     */
    public function __construct(
        public array $positions = [],
        public array $spread = [],
        public array $taught = [],
        public ?array $creep = null,
        public ?array $wish = null,
    ) {}

    public static function by(BenchState $state): self
    {
        $wish = $state->facts->chosen->wish;

        return new self(
            array_map(static fn (?Steps $at): ?float => $at?->toFloat(), $state->facts->adjusters->positions),
            Pooling::of($state->facts->readings->groups),
            array_map(StandingCodec::encodePrior(...), Carryover::taught($state)),
            $state->beliefs()->creep->sums(),
            $wish === null ? null : StandingCodec::encodeWish($wish) + ['say' => $wish->say()],
        );
    }

    /** @param  array<string, mixed>  $kept */
    public static function fromArray(array $kept): self
    {
        // An older version counted turns.
        return new self(
            $kept['positions_steps'] ?? $kept['positions_turns'] ?? [],
            $kept['spread'] ?? [],
            $kept['taught'] ?? [],
            $kept['creep'] ?? null,
            $kept['wish'] ?? null,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'positions_steps' => $this->positions,
            'spread' => $this->spread,
            'taught' => $this->taught,
            'creep' => $this->creep,
            'wish' => $this->wish,
        ];
    }
}
