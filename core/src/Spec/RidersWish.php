<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Quantity\Figure;

/**
 * How the person who rides or works with the machine wants it, inside its band: it belongs to the machine, and is aimed
 * for next time too.
 */
final readonly class RidersWish
{
    public function __construct(
        /** Play in mm at the spec's own point; null where only the bite matters. */
        public ?float $mm,
        /** Where it should bite, as the proof has it; null where that does not matter. */
        public ?string $bite,
        /** Their own words. */
        public ?string $said,
    ) {}

    /** Whether nothing is wished any more. */
    public function isNone(): bool
    {
        return $this->mm === null && $this->bite === null;
    }

    public function say(): string
    {
        $wishes = array_filter([
            $this->mm === null ? null : (string) Figure::length($this->mm),
            match ($this->bite) {
                null => null,
                'early' => 'bites as it leaves the bar',
                'late' => 'bites at the very end',
                default => 'bites in the middle',
            },
        ], is_string(...));

        return $wishes === [] ? 'none' : implode(', ', $wishes).($this->said === null ? '' : ": {$this->said}");
    }
}
