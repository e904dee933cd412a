<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

use VividPull\Core\Cable\Part;

/** What may be at fault where no setting cures it; common practice, no source. */
final readonly class Suspect
{
    private function __construct(
        public string $what,
        /** As what it is logged once it was put right; null where no cure has a name of its own. */
        public ?Cure $cure,
        /** As what it is logged once it was replaced; null where replacing it is not what comes first. */
        public ?Part $part,
    ) {}

    public static function of(string $what, ?Cure $cure = null): self
    {
        return new self($what, $cure, null);
    }

    /** One that is replaced. */
    public static function toReplace(string $what, Part $part): self
    {
        return new self($what, null, $part);
    }

    /** @param  list<self>  $suspects  two at least */
    public static function listed(array $suspects): string
    {
        $whats = array_column($suspects, 'what');
        $last = array_pop($whats);

        return implode(', ', $whats).", or {$last}";
    }

    /** @return list<self> where it drives, turns or drags with the control released */
    public static function ofDrivingAtRest(): array
    {
        return [
            self::of('a weak or unhooked spring', Cure::Spring),
            self::of('a belt that drags in its guides', Cure::Belt),
            self::of('a stiff idler or pivot', Cure::Oiled),
        ];
    }

    /** @return list<self> where a drive slips or is weak under load */
    public static function ofSlipping(): array
    {
        return [
            self::of('a stretched, glazed or oily belt', Cure::Belt),
            self::of('a weak or broken idler spring', Cure::Spring),
        ];
    }

    /** @return list<self> where what is pulled does not go as far as it should */
    public static function ofNotReaching(): array
    {
        return [
            self::of('a ferrule or end out of its seat', Cure::Ferrule),
            self::of('a bracket that is bent or gives way', Cure::Mount),
            self::toReplace('a stretched cable', Part::Cable),
        ];
    }

    /** @return list<self> where an adjuster is turned and the play does not follow */
    public static function ofNotFollowing(): array
    {
        return [
            self::of('a ferrule or end out of its seat', Cure::Ferrule),
            self::of('a conduit that moves, or is trapped', Cure::Route),
            self::of('a wire that sticks', Cure::Oiled),
        ];
    }

    /** @return list<self> where something that is let go does not come back by itself */
    public static function ofComingBack(): array
    {
        return [
            self::of('a weak or unhooked spring', Cure::Spring),
            self::of('a dry wire', Cure::Oiled),
            self::of('a stiff pivot', Cure::Oiled),
        ];
    }
}
