<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** What an act showed: how far it moves until it resists, or a word of the proof, part or setting. */
final readonly class Seen
{
    private function __construct(public ?float $mm, public ?string $word) {}

    public static function far(float $mm): self
    {
        return new self($mm, null);
    }

    public static function word(string $word): self
    {
        return new self(null, $word);
    }

    public static function nothing(): self
    {
        return new self(null, null);
    }
}
