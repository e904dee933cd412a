<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;

/** What a group of readings says about the band: the kind, the chance of being inside, and the sentence. */
final readonly class Verdict
{
    /**
     * Four in five: what is less likely inside than that is turned, or left outside by choice, with a reason (ours).
     */
    public const LIKELY = 0.8;

    private const EVEN = 0.5;

    private function __construct(
        public VerdictKind $kind,
        public ?float $chanceInside,
        /** mm beyond the nearest edge, never below zero. */
        public float $beyond,
        public string $sentence,
        /** What would decide it most cheaply, when it can't be told. */
        public ?string $advice,
        /** P(play > 0), where play was read. */
        public ?float $chanceOfPlay = null,
        /** What would settle it, when it can't be told. */
        public ?Settles $settles = null,
    ) {}

    /** @param  callable(): ?DecisionAdvice  $advice  asked only when it can't be told */
    public static function of(Uncertainty $found, SpecBand $band, DecisionRule $rule, callable $advice): self
    {
        $chance = Conformity::chanceInside($found->mean, $found->spread(), $band);
        $play = $found->chanceOfPlay();
        if ($found->mean <= 0.0) {
            return new self(VerdictKind::Taut, $chance, $band->floor(), 'Outside: taut, no play at all', null, $play);
        }
        $kind = Conformity::decide($found->mean, $chance, $band, $rule);
        $beyond = abs($band->beyond($found->mean));
        $by = Figure::length($beyond)->bare();
        $share = (int) floor($chance * 100);

        return match ($kind) {
            VerdictKind::Inside => new self($kind, $chance, 0.0, 'Inside the band', null, $play),
            VerdictKind::TooLoose => new self($kind, $chance, $beyond, "Outside: too loose by {$by}", null, $play),
            VerdictKind::TooTight => new self($kind, $chance, $beyond, "Outside: too tight by {$by}", null, $play),
            default => self::undecided($chance, $beyond, "Can't tell: {$share} % chance of inside", $advice(), $play),
        };
    }

    private static function undecided(
        float $chance,
        float $beyond,
        string $sentence,
        ?DecisionAdvice $deciding,
        float $play,
    ): self {
        return new self(
            VerdictKind::CantTell,
            $chance,
            $beyond,
            $sentence,
            $deciding?->sentence,
            $play,
            $deciding?->settles,
        );
    }

    /** Readings that do not go together say nothing until somebody has said which of them is right. */
    public static function doubted(string $question): self
    {
        return new self(
            VerdictKind::CantTell,
            null,
            0.0,
            "Can't tell: a reading is in question",
            "{$question} Take it back, say that it is right, or read again.",
            null,
            Settles::Answer,
        );
    }

    /**
     * What a measured value says about its limit, in the unit of what is measured.
     *
     * @param  callable(): string  $advice  asked only when it can't be told
     */
    public static function ofLimit(
        float $mean,
        Spread $spread,
        SpecBand $limit,
        DecisionRule $rule,
        MeasureKey $key,
        callable $advice,
    ): self {
        $chance = Conformity::chanceInside($mean, $spread, $limit);
        $kind = Conformity::decide($mean, $chance, $limit, $rule);
        $figure = static fn (float $value): string => (string) $key->figure($value);
        $beyond = abs($limit->beyond($mean));

        return match ($kind) {
            VerdictKind::Inside => new self($kind, $chance, 0.0, 'Inside its limit', null),
            VerdictKind::TooLoose => new self(
                $kind,
                $chance,
                $beyond,
                "Outside: {$figure($beyond)} over its limit",
                null,
            ),
            VerdictKind::TooTight => new self(
                $kind,
                $chance,
                $beyond,
                "Outside: {$figure($beyond)} under its limit",
                null,
            ),
            default => new self(
                $kind,
                $chance,
                $beyond,
                "Can't tell: ".(int) floor($chance * 100).' % chance of inside',
                $advice(),
            ),
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
        return $point === null
            ? $this
            : new self(
                $this->kind,
                $this->chanceInside,
                $this->beyond,
                "{$this->sentence}, converted from the {$point->label()}",
                $this->advice,
                $this->chanceOfPlay,
                $this->settles,
            );
    }

    /** Marked where it was read on a stand, for a figure on its wheels. */
    public function provisional(): self
    {
        return $this->kind === VerdictKind::NotJudged ? $this
            : new self(
                $this->kind,
                $this->chanceInside,
                $this->beyond,
                "{$this->sentence}, on a stand: to set by",
                $this->advice,
                $this->chanceOfPlay,
                $this->settles,
            );
    }

    public static function notJudged(string $why): self
    {
        return new self(VerdictKind::NotJudged, null, 0.0, "Not judged: {$why}", null);
    }

    public static function unread(string $why): self
    {
        return new self(VerdictKind::Unread, null, 0.0, $why, null);
    }

    /**
     * Whether a person may leave it as it reads: likely inside, with no question open about the readings themselves.
     */
    public function mayBeLeft(): bool
    {
        return $this->kind === VerdictKind::CantTell
            && $this->settles !== Settles::Answer
            && $this->beyond === 0.0
            && ($this->chanceInside ?? 0.0) >= self::LIKELY;
    }

    /**
     * At the edge, where no further reading with this instrument would tell, and likelier outside than it may be left;
     * or likelier outside than inside, where only another instrument would. It is turned, if a turn brings it further
     * in.
     */
    public function isStuckAtTheEdge(): bool
    {
        return $this->kind === VerdictKind::CantTell && match ($this->settles) {
            Settles::Nothing => ! $this->mayBeLeft(),
            Settles::Instrument => ($this->chanceInside ?? 1.0) < self::EVEN,
            default => false,
        };
    }

    public function is(VerdictKind $kind): bool
    {
        return $this->kind === $kind;
    }
}
