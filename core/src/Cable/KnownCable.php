<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/**
 * A cable that somebody measured once, on the bench or beside another: the wire that shows with the far end seated, the
 * conduit straight and its adjusters in, and the length of the conduit, both in mm. What nobody looked at is null.
 */
final readonly class KnownCable
{
    /** @param  list<AdjusterKind>|null  $adjusters  that it carries itself; null where nobody looked */
    public function __construct(
        public string $name,
        public float $wire,
        public ?float $conduit,
        public ?CableEnd $handEnd,
        public ?CableEnd $workingEnd,
        public ?array $adjusters,
    ) {}

    /** Whether both ends are as the other's; null where one of the four was not written down. */
    public function endsLike(self $other): ?bool
    {
        foreach ([[$this->handEnd, $other->handEnd], [$this->workingEnd, $other->workingEnd]] as [$one, $two]) {
            if ($one !== null && $two !== null && $one !== $two) {
                return false;
            }
        }

        return $this->handEnd === null
            || $other->handEnd === null
            || $this->workingEnd === null
            || $other->workingEnd === null
            ? null
            : true;
    }

    /** Whether it carries the adjusters that the other carries; null where nobody looked. */
    public function carriesLike(self $other): ?bool
    {
        return $this->adjusters === null || $other->adjusters === null
            ? null
            : self::sorted($this->adjusters) === self::sorted($other->adjusters);
    }

    /**
     * @param  list<AdjusterKind>  $kinds
     * @return list<string>
     */
    private static function sorted(array $kinds): array
    {
        $names = array_map(static fn (AdjusterKind $kind): string => $kind->value, $kinds);
        sort($names);

        return $names;
    }
}
