<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\StudentDistribution;

/**
 * How play changes as the bars turn. Every pose that was read is judged by its own reading; d = pose − straight serves
 * to foresee a pose not read since the last move, and to plan: straight must keep [low − min d, high − max d], its own
 * 0 included.
 */
final readonly class Sweep
{
    /** What a pose that nobody read yet is allowed to differ by when planning, in mm; our own figure. */
    public const ALLOWANCE = 0.5;

    /**
     * The reading's own uncertainty stands in the verdict already; of u(d) = √2·u about half comes on top: √(u² + 2u²)
     * − u.
     */
    private const SHARE = 0.5;

    /** Allowances never take more than two thirds of a band away. */
    private const LEFT = 3;

    /** Before a cable is accused (ISO 14253-1's confidence), shared by all pairs of poses. */
    private const SURE = 0.95;

    /**
     * @param  array<string, array{d: float, u: float, read: bool}>  $poses  pose minus straight, in mm, by pose
     * @param  list<array{apart: float, u: float, freedom: float, once?: string|null}>  $pairs  of poses read at one
     *     setting; `once` names that of them which has a single reading
     */
    private function __construct(public array $poses, private array $pairs) {}

    /**
     * @param  array<string, array{d: float, u: float}|null>  $offsets  by pose; null where it was not read
     * @param  list<array{apart: float, u: float, freedom: float, once?: string|null}>  $pairs
     */
    public static function of(array $offsets, array $pairs = []): self
    {
        return new self(array_map(static fn (?array $o): array => $o === null
            ? ['d' => 0.0, 'u' => self::ALLOWANCE, 'read' => false]
            : ['d' => $o['d'], 'u' => $o['u'], 'read' => true], $offsets), $pairs);
    }

    /**
     * Whether poses that were read at one setting lie further apart than the band is wide, with a chance of at least 95
     * %. A single reading of a pose accuses no cable: it may be misread.
     */
    public function isWiderThan(SpecBand $band): bool
    {
        return $this->wider($this->readTwice(), $band->width()) !== null;
    }

    /**
     * The pose by whose single reading they lie so far apart, and by nothing else: it is read once more; null where
     * there is none.
     */
    public function readOnce(SpecBand $band): ?string
    {
        return $this->isWiderThan($band) ? null : $this->wider($this->pairs, $band->width())['once'] ?? null;
    }

    /**
     * How far two poses that were read twice lie apart, in mm, where that leaves less than a third of the band to set
     * in; null where it leaves more.
     */
    public function takesMostOf(SpecBand $band): ?float
    {
        return $this->apartBy($band->width() * (self::LEFT - 1) / self::LEFT);
    }

    /**
     * The same where it leaves less than is needed to set in. It need not be sure: a look at a route costs little.
     * Where the poses take less than a third of the band, it is the hand or the step that is too coarse for it.
     *
     * @param  float  $needed  mm: what is called inside at neither edge, and one step between
     */
    public function leavesTooLittleOf(SpecBand $band, float $needed): ?float
    {
        return $this->apartBy(max($band->width() / self::LEFT, $band->width() - $needed));
    }

    private function apartBy(float $more): ?float
    {
        $apart = max([0.0, ...array_map(static fn (array $pair): float => $pair['apart'], $this->readTwice())]);

        return $apart > $more ? $apart : null;
    }

    /** @return array<int, array{apart: float, u: float, freedom: float, once?: string|null}> */
    private function readTwice(): array
    {
        return array_filter($this->pairs, static fn (array $pair): bool => ($pair['once'] ?? null) === null);
    }

    /**
     * @param  array<int, array{apart: float, u: float, freedom: float, once?: string|null}>  $pairs
     * @return array{apart: float, u: float, freedom: float, once?: string|null}|null the first pair that is wider, in
     *     mm
     */
    private function wider(array $pairs, float $width): ?array
    {
        foreach ($pairs as $pair) {
            $z = $pair['u'] <= 0.0 ? ($pair['apart'] > $width ? INF : -INF) : ($pair['apart'] - $width) / $pair['u'];
            if (StudentDistribution::cumulative($z, $pair['freedom']) >= 1 - (1 - self::SURE) / count($pairs)) {
                return $pair;
            }
        }

        return null;
    }

    /**
     * The band straight must keep so that these poses, read at an earlier setting, stay inside as well; the whole band
     * where none would do.
     *
     * @param  list<string>  $unread  poses not read since the last move
     */
    public function foreseen(SpecBand $band, array $unread): SpecBand
    {
        $known = array_filter(
            array_intersect_key($this->poses, array_flip($unread)),
            static fn (array $pose): bool => $pose['read'],
        );
        [$least, $most] = self::extremes($known);

        return self::between($band->floor() - $least, $band->high === null ? null : $band->high - $most) ?? $band;
    }

    /**
     * What is planned for: the straight band with all poses, an allowance for those nobody read, and never nothing at
     * all.
     */
    public function plannedBand(SpecBand $band): SpecBand
    {
        return self::within($band, $this->poses);
    }

    /** The same without an allowance for poses that nobody read: all that is known to be asked of the straight one. */
    public function knownBand(SpecBand $band): SpecBand
    {
        return self::within($band, array_filter($this->poses, static fn (array $pose): bool => $pose['read']));
    }

    /** @param  array<string, array{d: float, u: float, read: bool}>  $poses  those that are reckoned with */
    private static function within(SpecBand $band, array $poses): SpecBand
    {
        if ($poses === []) {
            return $band;
        }
        $read = array_filter($poses, static fn (array $pose): bool => $pose['read']);
        [$least, $most] = self::extremes($read);
        $tighter = max(
            0.0,
            ...array_values(array_map(
                static fn (array $pose): float => $pose['read'] ? self::SHARE * $pose['u'] : $pose['u'],
                $poses,
            )),
        );
        $low = $band->floor() - $least;
        if ($band->high === null) {
            return SpecBand::between($low + $tighter, null);
        }
        $high = $band->high - $most;
        if ($high <= $low) {
            // Not known to be a fault: the middle is the best there is.
            $middle = max($band->floor(), min($band->high, ($low + $high) / 2));
            $half = $band->width() / (2 * self::LEFT);

            return SpecBand::between(max(0.0, $middle - $half), $middle + $half);
        }
        $tighter = min($tighter, ($high - $low) * (self::LEFT - 1) / (2 * self::LEFT));

        return SpecBand::between($low + $tighter, $high - $tighter);
    }

    /**
     * @param  array<string, array{d: float, u: float, read: bool}>  $poses
     * @return array{float, float}
     */
    private static function extremes(array $poses): array
    {
        $d = [0.0, ...array_values(array_map(static fn (array $pose): float => $pose['d'], $poses))];

        return [min($d), max($d)];
    }

    private static function between(float $low, ?float $high): ?SpecBand
    {
        try {
            return SpecBand::between($low, $high);
        } catch (OutOfRange) {
            return null;
        }
    }
}
