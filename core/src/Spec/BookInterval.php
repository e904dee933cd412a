<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;

/** How often the book looks: by use, by months, or by whichever comes first. */
final readonly class BookInterval
{
    private function __construct(public ?float $use, public ?MeterUnit $unit, public ?int $months) {}

    /** @throws OutOfRange If it names neither use nor months, or use without what it is counted in. */
    public static function of(?float $use, ?MeterUnit $unit, ?int $months): self
    {
        if ($use === null && $months === null) {
            throw OutOfRange::emptyInterval();
        }
        if (($use === null) !== ($unit === null)) {
            throw OutOfRange::useWithoutUnit();
        }

        return new self($use, $unit, $months);
    }

    /** In the unit of a machine's own meter; null where the book counts something else. */
    public function in(MeterUnit $unit): ?float
    {
        return $this->use === null ? null : $this->unit?->to($unit, $this->use);
    }

    public function say(): string
    {
        return 'every '.implode(' or ', array_filter([
            $this->use === null ? null : $this->unit?->say($this->use),
            $this->months === null ? null : ($this->months === 1 ? 'month' : "{$this->months} months"),
        ], is_string(...)));
    }
}
