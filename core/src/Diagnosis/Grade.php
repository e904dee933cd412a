<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * How often a cause brings a thing about: the words the trade grades by, and the one place where they are numbers
 * (ours, no source).
 */
enum Grade: string
{
    case Always = 'always';
    case Usually = 'usually';
    case Sometimes = 'sometimes';
    case Rarely = 'rarely';
    case Never = 'never';

    /**
     * The chance that the cause by itself brings it about. *Always* leaves room for a look that was not close enough.
     */
    public function chance(): float
    {
        return match ($this) {
            self::Always => 0.97,
            self::Usually => 0.75,
            self::Sometimes => 0.35,
            self::Rarely => 0.08,
            self::Never => 0.0,
        };
    }

    /** One grade further that way; the ends stay. */
    public function shifted(int $by): self
    {
        $cases = self::cases();

        return $cases[max(0, min(count($cases) - 1, (int) array_search($this, $cases, true) + $by))];
    }
}
