<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** What a hand feels as it pulls: next to nothing through the play, then more and more. Its figures are ours. */
final readonly class PullForce
{
    private const REST = 3.0;

    private const TAKEN_UP = 6.0;

    /** N a mm once the play is gone. */
    private const STIFF = 9.0;

    /** mm that a pull goes on for after the play is gone. */
    private const FURTHER = 12.0;

    /** @return list<array{float, float}> mm and N, from rest to as far as it is pulled */
    public static function curve(float $play): array
    {
        return [
            [0.0, self::REST],
            [$play, self::TAKEN_UP],
            [$play + self::FURTHER, self::TAKEN_UP + self::STIFF * self::FURTHER],
        ];
    }
}
