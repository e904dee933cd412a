<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** The units a person reads, each with the mark before its decimals. */
final readonly class Units
{
    public function __construct(
        public LengthStyle $lengths = LengthStyle::Millimetres,
        public ForceStyle $forces = ForceStyle::Newtons,
        public SpeedStyle $speeds = SpeedStyle::Kilometres,
        public DecimalMark $decimals = DecimalMark::Point,
    ) {}

    /** As everything is kept. */
    public static function kept(): self
    {
        return new self;
    }

    /** In which a quantity of this dimension is said. */
    public function of(Dimension $dimension): Unit
    {
        return match ($dimension) {
            Dimension::Length => $this->lengths->unit(),
            Dimension::Force => $this->forces->force(),
            Dimension::Torque => $this->forces->torque(),
            Dimension::Speed => $this->speeds->unit(),
            Dimension::Angle, Dimension::Distance, Dimension::Time => Unit::usualOf($dimension),
        };
    }

    /**
     * A quantity without its unit.
     *
     * @param  float  $value  in the dimension's internal unit, finite
     * @param  int  $decimals  that it would have in that unit
     * @param  bool  $isShort  whether zeros that say nothing are left out
     */
    public function bare(float $value, Dimension $dimension, int $decimals, bool $isShort): string
    {
        if ($dimension === Dimension::Length) {
            return $this->marked($this->lengths->bare($value, $decimals, $isShort));
        }
        $unit = $this->of($dimension);
        // A pound is four newtons and more: a digit less would say less.
        $more = $unit === Unit::PoundForce ? 1 : 0;

        return $this->number($value / $unit->factor(), $decimals + $more, $isShort);
    }

    /** A bare number of anything, its thousands parted by this sign. */
    public function number(float $value, int $decimals, bool $isShort, string $thousands = ''): string
    {
        $text = number_format($value, $decimals, '.', $thousands);

        return $this->marked($isShort && str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text);
    }

    /** A number as it is written with a point, with this person's mark. */
    private function marked(string $number): string
    {
        return strtr($number, ['.' => $this->decimals->sign()]);
    }
}
