<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Procedure\Cure;

/**
 * What was signed, read back: the other side of `ClosingRecord`. Records stay as they were signed, so that one of an
 * older engine, or from a list, has less in it.
 *
 * @phpstan-import-type ReadingAsKept from SignedReading
 *
 * @phpstan-type Stand array{
 *     adjuster: string, name: string, unit: string, found: string|null, left: string|null, taken: float|int,
 * }
 * @phpstan-type Numbered array{part: string, number: string}
 * @phpstan-type Kept array{
 *     engine?: string, point?: string|null, spec?: string, source?: string, found?: ReadingAsKept|null,
 *     left?: ReadingAsKept|null, parts?: list<string>, put_right?: list<string>, refused_parts?: list<string>,
 *     fitted_parts?: list<Numbered>, did_not_fit?: list<Numbered>, given_before_mm?: float|int|null,
 *     stands?: list<Stand>, traces?: list<array<string, mixed>>, pack?: array{weakest_mm?: array<string, float>}|null,
 *     by_choice?: string|null, tag?: string|null, left_faults?: list<string>, ...<string, mixed>,
 * }
 */
final readonly class SignedRecord
{
    /** @param  Kept  $kept */
    private function __construct(private array $kept) {}

    /** @param  array<string, mixed>  $kept */
    public static function of(array $kept): self
    {
        /** @var Kept $kept */
        return new self($kept);
    }

    /** Which engine it was judged by, or where it came from. */
    public function engine(): ?string
    {
        return $this->kept['engine'] ?? null;
    }

    /** Where play was read; null where none is, or nobody wrote it down. */
    public function point(): ?ReadingPoint
    {
        return ReadingPoint::tryFrom($this->kept['point'] ?? '');
    }

    /** The figure it was held against, in words. */
    public function spec(): ?string
    {
        return $this->kept['spec'] ?? null;
    }

    public function source(): ?string
    {
        return $this->kept['source'] ?? null;
    }

    public function found(): ?SignedReading
    {
        return isset($this->kept['found']) ? SignedReading::of($this->kept['found']) : null;
    }

    public function left(): ?SignedReading
    {
        return isset($this->kept['left']) ? SignedReading::of($this->kept['left']) : null;
    }

    /** @return list<Part> fitted */
    public function parts(): array
    {
        return array_map(Part::from(...), $this->kept['parts'] ?? []);
    }

    public function hasFitted(Part $part): bool
    {
        return in_array($part, $this->parts(), true);
    }

    public function hasPutRight(Cure $cure): bool
    {
        return in_array($cure->value, $this->kept['put_right'] ?? [], true);
    }

    /**
     * Numbers of parts that were told, those that fitted first. Records from before said the number alone, and only of
     * cables.
     *
     * @return list<array{part: Part, number: string, fits: bool}>
     */
    public function numbers(): array
    {
        $earlier = array_map(
            static fn (string $number): array => ['part' => Part::Cable->value, 'number' => $number],
            $this->kept['refused_parts'] ?? [],
        );
        $numbers = [];
        foreach ([
            [$this->kept['fitted_parts'] ?? [], true],
            [$this->kept['did_not_fit'] ?? $earlier, false],
        ] as [$list, $fits]) {
            foreach ($list as $one) {
                $numbers[] = ['part' => Part::from($one['part']), 'number' => $one['number'], 'fits' => $fits];
            }
        }

        return $numbers;
    }

    /** Slack given before a part was fitted, in mm of conduit. */
    public function givenBeforeMm(): ?float
    {
        return isset($this->kept['given_before_mm']) ? (float) $this->kept['given_before_mm'] : null;
    }

    /** @return list<Stand> where each adjuster was found and left, and what it took up */
    public function stands(): array
    {
        return $this->kept['stands'] ?? [];
    }

    /**
     * @return list<array<string, mixed>> pulls kept as curves, as their entries say them
     */
    public function traces(): array
    {
        return $this->kept['traces'] ?? [];
    }

    /** @return array<string, float> the weakest of each dimension of the pack, in mm; empty where none was measured */
    public function weakest(): array
    {
        return $this->kept['pack']['weakest_mm'] ?? [];
    }

    public function byChoice(): ?string
    {
        return $this->kept['by_choice'] ?? null;
    }

    public function tag(): ?string
    {
        return $this->kept['tag'] ?? null;
    }

    /** @return list<string> what was left faulty, in words */
    public function leftFaults(): array
    {
        return $this->kept['left_faults'] ?? [];
    }

    /** @return array<string, mixed> as it was signed */
    public function kept(): array
    {
        return $this->kept;
    }
}
