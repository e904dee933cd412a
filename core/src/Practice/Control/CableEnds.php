<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\FamilyKey;

/** The ends of a machine's cables, each hooked into its seat by hand: all the way, to its edge, or not at all. */
final readonly class CableEnds
{
    /** The part that is looked over where there is a wire to hook. */
    private const WIRE = 'wire';

    /** Share of the way into its seat that an end lies which somebody thought was hooked; ours. */
    private const FOUND = 0.7;

    /**
     * @param  array<string, string>  $labels  where each end is, by key
     * @param  array<string, float>  $in  share of the way into its seat, of those that are not home
     */
    private function __construct(private array $labels, private array $in = []) {}

    /** @param  bool  $isBeside  whether the end at the hand was found on the edge of its seat */
    public static function of(FamilyKey $family, Run $run, bool $isBeside): self
    {
        $labels = [];
        if (in_array(self::WIRE, array_column(Families::of($family)->lookOver(), 'key'), true)) {
            foreach ($run->cables as $cable) {
                $of = count($run->cables) > 1 ? "{$cable->name}, at the " : 'At the ';
                $labels["{$cable->id}/hand"] = $of.lcfirst($run->hand->name);
                if (! self::isHeldByItsAdjuster($cable)) {
                    $labels["{$cable->id}/working"] = $of.$run->workingEnd;
                }
            }
        }
        $first = array_key_first($labels);

        return new self($labels, $isBeside && $first !== null ? [$first => self::FOUND] : []);
    }

    /** In a row of holes or under a clamp, its other end is what is set. */
    private static function isHeldByItsAdjuster(Cable $cable): bool
    {
        foreach ($cable->adjusters as $adjuster) {
            if (in_array($adjuster->kind(), [AdjusterKind::HookHoles, AdjusterKind::PinchClamp], true)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, string> where each is, by key */
    public function labels(): array
    {
        return $this->labels;
    }

    /** Share of the way into its seat, 0 to 1. */
    public function in(string $end): float
    {
        return $this->in[$end] ?? 1.0;
    }

    public function seat(string $end): Seat
    {
        return Seat::of($this->in($end));
    }

    /** @param  float  $in  share of the way into its seat at which the hand lets go, 0 to 1 */
    public function pushed(string $end, float $in): self
    {
        $others = array_diff_key($this->in, [$end => true]);

        return new self($this->labels, Seat::of($in) === Seat::Home ? $others : [$end => $in] + $others);
    }

    /** All of them pushed home. */
    public function reseated(): self
    {
        return new self($this->labels);
    }

    /** Where one is off; null where none is. */
    public function off(): ?string
    {
        return $this->first(Seat::Off);
    }

    /** Where one lies on the edge of its seat; null where none does. */
    public function beside(): ?string
    {
        return $this->first(Seat::Edge);
    }

    private function first(Seat $seat): ?string
    {
        foreach ($this->in as $end => $in) {
            if (Seat::of($in) === $seat) {
                return $this->labels[$end];
            }
        }

        return null;
    }

    /** How many ends of a cable lie on the edge of their seats. */
    public function besideOn(string $cable): int
    {
        return count(array_filter(
            $this->in,
            static fn (float $in, string $end): bool => str_starts_with($end, "{$cable}/")
                && Seat::of($in) === Seat::Edge,
            ARRAY_FILTER_USE_BOTH,
        ));
    }
}
