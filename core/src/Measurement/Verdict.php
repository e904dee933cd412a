<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Spec\SpecBand;

/** What a group of readings says about the band: the kind, the chance of being inside, and the sentence. */
final readonly class Verdict
{
    private function __construct(
        public VerdictKind $kind,
        public ?float $chanceInside,
        /** mm beyond the nearest edge, never below zero. */
        public float $beyond,
        public string $sentence,
        /** What would decide it most cheaply, when it can't be told. */
        public ?string $advice,
    ) {}

    /** @param  callable(): string  $advice  asked only when it can't be told */
    public static function of(Uncertainty $found, SpecBand $band, DecisionRule $rule, callable $advice): self
    {
        $chance = Conformity::chanceInside($found->mean, $found->standard(), $band);
        if ($found->mean <= 0.0) {
            return new self(VerdictKind::Taut, $chance, $band->floor(), 'Outside: taut, no play at all', null);
        }
        $kind = Conformity::decide($found->mean, $chance, $band, $rule);
        $beyond = abs($band->beyond($found->mean));
        $by = number_format($beyond, 1, '.', '');
        $share = (int) floor($chance * 100);

        return match ($kind) {
            VerdictKind::Inside => new self($kind, $chance, 0.0, 'Inside the band', null),
            VerdictKind::TooLoose => new self($kind, $chance, $beyond, "Outside: too loose by {$by}", null),
            VerdictKind::TooTight => new self($kind, $chance, $beyond, "Outside: too tight by {$by}", null),
            default => new self($kind, $chance, $beyond, "Can't tell: {$share} % chance of inside", $advice()),
        };
    }

    /**
     * What a measured value says about its limit, in the unit of what is measured.
     *
     * @param  callable(): string  $advice  asked only when it can't be told
     */
    public static function ofLimit(float $mean, float $standard, SpecBand $limit, DecisionRule $rule, MeasureKey $key, callable $advice): self
    {
        $chance = Conformity::chanceInside($mean, $standard, $limit);
        $kind = Conformity::decide($mean, $chance, $limit, $rule);
        $unit = $key->dimension()->internalUnit();
        $figure = static fn (float $value): string => number_format($value, $key->decimals(), '.', '')." {$unit}";
        $beyond = abs($limit->beyond($mean));

        return match ($kind) {
            VerdictKind::Inside => new self($kind, $chance, 0.0, 'Inside its limit', null),
            VerdictKind::TooLoose => new self($kind, $chance, $beyond, "Outside: {$figure($beyond)} over its limit", null),
            VerdictKind::TooTight => new self($kind, $chance, $beyond, "Outside: {$figure($beyond)} under its limit", null),
            default => new self($kind, $chance, $beyond, "Can't tell: ".(int) floor($chance * 100).' % chance of inside', $advice()),
        };
    }

    /** Measured, with nothing to hold it against. */
    public static function noted(string $sentence): self
    {
        return new self(VerdictKind::Inside, null, 0.0, $sentence, null);
    }

    /** Marked where it was read elsewhere and turned into the spec's point. */
    public function convertedFrom(?ReadingPoint $point): self
    {
        return $point === null ? $this : new self($this->kind, $this->chanceInside, $this->beyond, "{$this->sentence}, converted from the {$point->label()}", $this->advice);
    }

    public static function notJudged(string $why): self
    {
        return new self(VerdictKind::NotJudged, null, 0.0, "Not judged: {$why}", null);
    }

    public static function unread(string $why): self
    {
        return new self(VerdictKind::Unread, null, 0.0, $why, null);
    }

    public function is(VerdictKind $kind): bool
    {
        return $this->kind === $kind;
    }
}
