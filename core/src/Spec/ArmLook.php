<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/**
 * Which way the arm went when the lever was drawn slowly towards the table's minus, with nothing loosened. A wire pulls
 * the arm towards its bracket, and a bracket that is moved carries the arm along: so the look says which way to move it
 * first. A look is no proof: after the first move it is asked again, since arm and bracket may stand on two sides of a
 * pivot (common practice, no source).
 */
enum ArmLook: string
{
    case TowardsBracket = 'towards_bracket';
    case AwayFromBracket = 'away_from_bracket';
    case Unseen = 'unseen';

    public function label(): string
    {
        return match ($this) {
            self::TowardsBracket => 'Towards the bracket',
            self::AwayFromBracket => 'Away from the bracket',
            self::Unseen => 'Cannot be seen',
        };
    }

    /**
     * Which way the arm is expected to go when the bracket is moved away from it: +1 towards the table's plus; null
     * where nobody saw.
     */
    public function sign(): ?int
    {
        return match ($this) {
            self::TowardsBracket => -1,
            self::AwayFromBracket => 1,
            self::Unseen => null,
        };
    }
}
