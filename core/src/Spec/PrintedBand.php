<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Quantity\Coin;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\ReadQuantity;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Unit;

/**
 * A band of play as a book prints it: `10–20 mm`, `10 - 20 mm (0.39 - 0.79 in)`, `1/8 to 1/4 inch`, `zero to 1/16`,
 * `2.0 ± 0.5 mm`, `3 +1/−0 mm`, `at least 2 mm`, `2 mm max.`, `a nickel`; what it is called may stand before it.
 *
 * Printed in two units, both must mean the same within printed rounding: half the last decimal, or half the finest
 * fraction that the figure shows. One figure alone is no band: how far off is still right, nobody but the book can say.
 * A coin is known to `COIN_EITHER_WAY`, and is a band as wide as that. What would be next to nothing in millimetres
 * and names no unit is asked for one: books print decimals of an inch so.
 */
final readonly class PrintedBand
{
    /** mm; how far a coin that just drags may lie off its published thickness (ours). */
    private const COIN_EITHER_WAY = 0.15;

    /** Every dash that print has, as one; and what joins two sizes in print of other countries. */
    private const DASHES = [
        "\u{2010}" => '-', "\u{2011}" => '-', "\u{2212}" => '-', '–' => ' – ', '—' => ' – ', '…' => ' – ', '~' => ' – ',
        '～' => ' – ',
    ];

    private const TWO_UNITS = '/^(?<first>[^()\[\]]+?)\s*[(\[](?<other>[^()\[\]]+)[)\]]\.?$|^(?<one>.*[a-z".]) \/ (?<two>.+)$/iu';

    /** mm; a whole band below it, with no unit beside it, is hardly one of millimetres (ours). */
    private const THIN = 0.3;

    private const CALLED = '/^(?!no\b|zero\b)(?:[\p{L} -]*\b)?(?:free ?play|slack|play)\s*(?:[:=]|of|is)?\s*(?=\S)/iu';

    private const WHERE = '/\d.*\s(?:at|on|measured)\s/iu';

    /** `3 +1/-0 mm`, `3 mm (+1, -0)`: more to one side than to the other. */
    private const UNEVEN = '/^(?<middle>[^+()]+?)\s*\(?\s*\+\s*(?<up>[^+()]+?)\s*[\/,; ]\s*(?:-|–)\s*(?<down>[\d.,\/]+)\s*\)?\s*(?<unit>[\p{L}".]*)$/u';

    private const AROUND = '/^(?<middle>.+?)\s*(?:±|\+\/-|\+-|plus or minus|plus\/minus)\s*(?<either>.+)$/iu';

    private const BETWEEN = '/^(?:between|from)\s+(?<low>.+?)\s+(?:and|to)\s+(?<high>.+)$/iu';

    /** A dash with a gap on both sides joins two sizes; one without may stand in a mixed number. */
    private const RANGE = '/^(?<low>.+?)\s*(?:\bto\b|\s–\s|\s-\s)\s*(?<high>.+)$/iu';

    private const TIGHT = '/^(?<low>.+?(?<=[\d"a-z.]))-(?<high>\s*[\d.].*)$/iu';

    private const LEAST = 'at least|no(?:t)? less than|more than|min(?:imum)?\.?|from|≥|>=?';

    private const MOST = 'at most|no(?:t)? more than|less than|max(?:imum)?\.?|up to|≤|<=?';

    private const ONE_SIDED = '/^(?:(?<least>'.self::LEAST.')|(?<most>'.self::MOST.'))\s*(?<value>.+)$/iu';

    private const SIDE_AFTER = '/^(?<value>.+?)\s*(?:(?<least>or more|and more|min(?:imum)?\.?)|(?<most>or less|max(?:imum)?\.?))$/iu';

    private const MIXED_NUMBER = '/^[1-9]\d*-\d+\s*\/\s*\d+(?!\s*\d)[^\d]*$/';

    private const COIN = '/^(?:the\s+)?(?:(?<thick>thickness)\s+of\s+)?(?:a\s+|an\s+|one\s+)?(?<coin>[a-z0-9 ]+?)(?:\s+coin)?(?:\'s\s+(?<thick_after>thickness))?$/i';

    /** @param  list<string>  $disagreements */
    private function __construct(
        public SpecBand $band,
        /** @var list<string> a sentence for each edge that says two different things */
        public array $disagreements,
    ) {}

    /**
     * The first figure is the band; the other only checks it.
     *
     * @throws CoreError If it is no band of lengths.
     */
    public static function read(string $text): self
    {
        $text = trim((string) preg_replace('/\s+/u', ' ', strtr(mb_scrub($text, 'UTF-8'), self::DASHES)));
        $text = (string) preg_replace(self::CALLED, '', $text);
        $uneven = self::parts(self::UNEVEN, $text);
        if ($uneven !== null) {
            return new self(self::band(self::uneven($text, $uneven)), []);
        }
        $part = self::parts(self::TWO_UNITS, $text);
        if ($part === null) {
            return new self(self::inSomeUnit($text, self::band(self::edges($text))), []);
        }
        $first = self::edges($part['first'] ?? $part['one'] ?? '');
        $other = self::edges($part['other'] ?? $part['two'] ?? '');

        return new self(self::band($first), [
            ...self::disagreement($first[0], $other[0], $first, $other),
            ...self::disagreement($first[1], $other[1], $first, $other),
        ]);
    }

    /** @param  array{PrintedEdge|null, PrintedEdge|null}  $edges */
    private static function band(array $edges): SpecBand
    {
        return SpecBand::between($edges[0]?->mm, $edges[1]?->mm);
    }

    /** @throws CoreError Where a thin band leaves open whether its figures are millimetres or parts of an inch. */
    private static function inSomeUnit(string $text, SpecBand $band): SpecBand
    {
        $isBare = self::isBare((string) preg_replace('/±|\+\/-|–|\bto\b|\band\b/iu', '', $text));
        if ($isBare && ($band->high ?? INF) < self::THIN) {
            throw NotUnderstood::line(
                Quoted::text($text).' names no unit, and in mm it would be next to nothing. Write mm or in behind it.',
            );
        }

        return $band;
    }

    /**
     * @param  array<array-key, string>  $part
     * @return array{PrintedEdge, PrintedEdge} `3 +1/-0 mm`
     */
    private static function uneven(string $text, array $part): array
    {
        $named = trim($part['unit'] ?? '');
        $unit = self::length('1 '.($named === '' ? Unit::Millimetre->value : $named), null)->unit;
        $middle = self::length($part['middle'] ?? '', $unit);
        [$up, $down] = [
            self::length($part['up'] ?? '', $middle->unit),
            self::length($part['down'] ?? '', $middle->unit),
        ];
        if ($down->value > $middle->value) {
            throw NotUnderstood::line(
                Quoted::text($text).' goes down to nothing and below. Write its two ends, such as 0 to 2 mm.',
            );
        }

        return [
            PrintedEdge::around($text, $middle->value, $down->value, $middle->writtenStep)[0],
            PrintedEdge::around($text, $middle->value, $up->value, $middle->writtenStep)[1],
        ];
    }

    /** @return array{PrintedEdge|null, PrintedEdge|null} */
    private static function edges(string $text): array
    {
        $text = trim($text);
        if (preg_match(self::WHERE, $text) === 1) {
            throw NotUnderstood::line(
                Quoted::text($text).' says more than the figure. Write the figure alone: where and how it is read is asked for by itself.',
            );
        }
        $coin = self::coin($text);
        if ($coin !== null) {
            return PrintedEdge::around($text, $coin->thickness(), self::COIN_EITHER_WAY, self::COIN_EITHER_WAY);
        }
        $around = self::parts(self::AROUND, $text);
        if ($around !== null) {
            return self::around($text, $around['middle'] ?? '', $around['either'] ?? '');
        }
        $between = self::parts(self::BETWEEN, $text);
        $sided = $between === null ? self::parts(self::ONE_SIDED, $text) : null;
        $joined = $between
            ?? ($sided === null && preg_match(self::MIXED_NUMBER, $text) !== 1
                ? self::parts(self::RANGE, $text) ?? self::parts(self::TIGHT, $text)
                : null);
        if ($joined !== null) {
            $high = self::length($joined['high'] ?? '', null);

            return [PrintedEdge::of(self::length($joined['low'] ?? '', $high->unit)), PrintedEdge::of($high)];
        }
        $sided ??= self::parts(self::SIDE_AFTER, $text);
        if ($sided !== null) {
            $edge = PrintedEdge::of(self::length($sided['value'] ?? '', null));

            return isset($sided['least']) ? [$edge, null] : [null, $edge];
        }
        throw NotUnderstood::line(Quoted::text($text).(self::isOneFigure($text)
            ? ' is one figure, and no band. Write what may differ as well: 3 ± 0.5 mm, at least 3 mm, at most 3 mm.'
            : ' is no band. Write it as it is printed: 10–20 mm, 3/8 to 1 in, 2 ± 0.5 mm, at least 2 mm.'));
    }

    /** @return array<array-key, string>|null the named parts that are there; null where it is not written so */
    private static function parts(string $pattern, string $text): ?array
    {
        return preg_match($pattern, $text, $part, PREG_UNMATCHED_AS_NULL) === 1
            ? array_filter($part, is_string(...))
            : null;
    }

    /** @return array{PrintedEdge, PrintedEdge} `2.0 ± 0.5 mm` */
    private static function around(string $text, string $middle, string $either): array
    {
        $spread = self::length($either, null);
        $read = self::length($middle, $spread->unit);
        // `12 mm ± 2`: what follows without a unit is in that of the middle.
        $spread = self::isBare($either) ? self::length($either, $read->unit) : $spread;
        if ($spread->value >= $read->value) {
            throw NotUnderstood::line(
                Quoted::text($text).' goes down to nothing and below. Write its two ends, such as 0 to 2 mm.',
            );
        }

        return PrintedEdge::around(
            $text,
            $read->value,
            $spread->value,
            max($read->writtenStep, $spread->writtenStep),
            $read->unit,
        );
    }

    /** `a quarter` may be the coin or a quarter of an inch: only its thickness, or its bare name, is the coin. */
    private static function coin(string $text): ?Coin
    {
        $part = self::parts(self::COIN, $text) ?? [];
        $coin = Coin::tryFromText($part['coin'] ?? '');
        $isThickness = isset($part['thick']) || isset($part['thick_after']);

        return $coin === Coin::Quarter && ! $isThickness && mb_strtolower($text) !== $coin->value ? null : $coin;
    }

    private static function isOneFigure(string $text): bool
    {
        try {
            return preg_match('/\d/', $text) === 1 && ! self::length($text, null)->isRange;
        } catch (CoreError) {
            return false;
        }
    }

    private static function isBare(string $text): bool
    {
        return preg_match('/^[\d\s.,\/\-⁄½¼¾⅛⅜⅝⅞]+$/u', trim($text)) === 1;
    }

    /** A figure without a unit of its own has that of the figure after it. */
    private static function length(string $text, ?Unit $unit): ReadQuantity
    {
        $text = (string) preg_replace('/^(?:zero|none|no play)$/i', '0', trim($text));
        $read = QuantityReader::defaultingTo(Unit::Millimetre)->read(
            self::isBare($text) && $unit !== null ? "{$text} {$unit->value}" : $text,
        );
        if ($read->dimension !== Dimension::Length) {
            throw NotUnderstood::line(Quoted::text($text).' is no length, and play is a length.');
        }
        if ($read->isRange) {
            throw NotUnderstood::line(
                Quoted::text($text)
                    .' is a range, where one edge of the band belongs. Write the band as it is printed: 10–20 mm.',
            );
        }

        return $read;
    }

    /**
     * @param  array{PrintedEdge|null, PrintedEdge|null}  $first
     * @param  array{PrintedEdge|null, PrintedEdge|null}  $other
     * @return list<string>
     */
    private static function disagreement(?PrintedEdge $one, ?PrintedEdge $two, array $first, array $other): array
    {
        if ($one === null && $two === null) {
            return [];
        }
        if ($one === null || $two === null) {
            return ['One of the two figures has an edge that the other lacks.'];
        }
        $apart = abs($one->mm - $two->mm);
        if ($apart <= self::rounding($first) + self::rounding($other) + 1e-9) {
            return [];
        }

        return [Quoted::text($one->said).' beside '.Quoted::text($two->said).': '.self::inOther($one, $two).'.'];
    }

    /**
     * Half of the smallest difference that the figure shows.
     *
     * @param  array{PrintedEdge|null, PrintedEdge|null}  $figure
     */
    private static function rounding(array $figure): float
    {
        return min(INF, ...array_map(static fn (?PrintedEdge $edge): float => $edge->step ?? INF, $figure)) / 2;
    }

    private static function inOther(PrintedEdge $one, PrintedEdge $two): string
    {
        $of = "{$one->said} is about ";

        // Beside what is printed in one unit stands the other, whatever its reader reads.
        return $of
            .($two->unit === Unit::Inch
                ? LengthStyle::fraction($one->mm / Unit::Inch->factor(), 64).' in'
                : Spoken::kept(static fn (): string => (string) Figure::shortLength($one->mm, 1)));
    }
}
