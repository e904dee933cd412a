<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/**
 * What an act showed: how far it moves until it resists, a word of the proof, part or setting, or what was measured.
 */
final readonly class Seen
{
    /** @param  float|null  $amount  measured, in the unit of what is measured */
    private function __construct(public ?float $mm, public ?string $word, public ?float $amount = null) {}

    public static function far(float $mm): self
    {
        return new self($mm, null);
    }

    /** @param  string|null  $word  null where nothing showed */
    public static function word(?string $word): self
    {
        return new self(null, $word);
    }

    public static function amount(?float $amount): self
    {
        return new self(null, null, $amount);
    }

    public static function nothing(): self
    {
        return new self(null, null);
    }
}
