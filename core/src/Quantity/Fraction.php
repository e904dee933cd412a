<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/**
 * An exact ratio as a person writes it: `4`, `4.2`, `4,2`, `3/32`, `1 1/16`.
 *
 * Kept as two whole numbers so that a length is divided once, at the end. At most six digits before and six after
 * the decimal mark, so that neither part can leave the range of an integer.
 */
final readonly class Fraction
{
    private const PATTERN = '/^(?:(?<whole>\d+)[ \-])?(?<top>\d+)\s*\/\s*(?<below>\d+)$|^(?<int>\d*)(?:[.,](?<dec>\d*))?$/';

    /**
     * @param  bool  $isReduced  false where a fraction was written in finer parts than it needs: 4/8, as read off a
     *     scale of eighths
     */
    private function __construct(
        public int $top,
        public int $below,
        public bool $writtenAsFraction,
        public int $decimals,
        public bool $isReduced = true,
    ) {}

    /** @throws NotUnderstood If the text is no number, has 0 below the line, or has more digits than are counted. */
    public static function fromText(string $text): self
    {
        $text = trim($text);
        if (preg_match(self::PATTERN, $text, $part) !== 1 || preg_match('/\d/', $text) !== 1) {
            throw NotUnderstood::number($text);
        }
        if (preg_match('/\d{7,}/', $text) === 1) {
            throw NotUnderstood::tooManyDigits($text);
        }

        return $part['below'] !== '' ? self::fromParts($text, $part) : self::fromDecimal($part);
    }

    public function toFloat(): float
    {
        return $this->top / $this->below;
    }

    /** The distance from this number to the next that could be written the same way: 0.1 for `4.2`, 1/32 for `3/32`. */
    public function writtenStep(): float
    {
        return $this->writtenAsFraction ? 1 / $this->below : 10.0 ** -$this->decimals;
    }

    /** Into how many parts it was written: 32 for `3/32`; 1 for a decimal number. */
    public function parts(): int
    {
        return $this->writtenAsFraction ? $this->below : 1;
    }

    /** @param  array<array-key, string>  $part */
    private static function fromParts(string $text, array $part): self
    {
        $below = (int) $part['below'];
        if ($below === 0) {
            throw NotUnderstood::zeroBelow($text);
        }

        $top = (int) $part['top'];

        return new self((int) $part['whole'] * $below + $top, $below, true, 0, self::shareNothing($top, $below));
    }

    /** The middle of two numbers. */
    public function halfwayTo(self $other): self
    {
        return new self(
            $this->top * $other->below + $other->top * $this->below,
            2 * $this->below * $other->below,
            $this->writtenAsFraction || $other->writtenAsFraction,
            0,
        );
    }

    private static function shareNothing(int $one, int $other): bool
    {
        while ($other !== 0) {
            [$one, $other] = [$other, $one % $other];
        }

        return $one === 1;
    }

    /** @param  array<array-key, string>  $part */
    private static function fromDecimal(array $part): self
    {
        $decimals = $part['dec'] ?? '';
        $below = 10 ** strlen($decimals);

        return new self((int) ($part['int'] ?? '') * $below + (int) $decimals, $below, false, strlen($decimals));
    }
}
