<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Errors\OutOfRange;

/**
 * An instrument on the shelf: what it can show, how far it reaches, how well it is known. All in mm; in N where it
 * shows forces.
 */
final readonly class Instrument
{
    public const COIN = 'coin';

    private function __construct(
        public string $id,
        public string $name,
        public InstrumentKind $kind,
        public float $resolution,
        public float $reach,
        public ?Calibration $calibration,
        /** Marks to the inch, where it is read in inches too: 32, 64, 1000; null where it has none of its own. */
        public ?int $inchMarks = null,
        /**
         * How far one hand with it lies from another, as a study of play told: standard deviation and its degrees of
         * freedom; null where nobody studied it.
         */
        public ?Repeatability $hands = null,
    ) {}

    /** @throws OutOfRange If resolution or reach is not above zero. */
    public static function of(
        string $id,
        string $name,
        InstrumentKind $kind,
        float $resolution,
        float $reach,
        ?Calibration $calibration,
        ?int $inchMarks = null,
        ?Repeatability $hands = null,
    ): self {
        if (! ($resolution > 0.0)) {
            throw OutOfRange::positive(
                "An instrument's resolution, in {$kind->dimension()->internalUnit()},",
                $resolution,
            );
        }
        if (! ($reach > 0.0)) {
            throw OutOfRange::positive("An instrument's reach, in {$kind->dimension()->internalUnit()},", $reach);
        }

        return new self($id, $name, $kind, $resolution, $reach, $calibration, $inchMarks, $hands);
    }

    /** The marks that a reading was taken at, in mm: those of the scale that the person read. */
    public function marksFor(bool $inInches): float
    {
        return $inInches && $this->inchMarks !== null ? 25.4 / $this->inchMarks : $this->resolution;
    }

    /** Any coin that drags in the gap: known to about 0.15 mm either way (ours). */
    public static function coin(): self
    {
        return new self(self::COIN, 'Coin', InstrumentKind::Coin, 0.3, 3.0, null);
    }
}
