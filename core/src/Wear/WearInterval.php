<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/** From one look to the next: how far the play went by itself over how much use. */
final readonly class WearInterval
{
    private function __construct(
        public JobRecord $from,
        public JobRecord $to,
        public IntervalKind $kind,
        /** Change of play by itself in mm at the reading point; below zero it shrank. Null where nothing compares. */
        public ?float $drift,
        /** Standard uncertainty of the drift, mm. */
        public float $standard,
    ) {}

    /**
     * drift = found − left − R·(slack somebody gave between): what turned by a hand is no wear.
     *
     * @param  float  $ratio  R at the reading point, above zero
     */
    public static function between(JobRecord $from, JobRecord $to, float $ratio): self
    {
        if ($from->left === null || $to->found === null || ! $from->isLike($to) || $to->usage <= $from->usage) {
            return new self($from, $to, IntervalKind::NotComparable, null, 0.0);
        }

        return new self(
            $from,
            $to,
            $from->startsOver() ? IntervalKind::BeddingIn : IntervalKind::Wear,
            $to->found->mm - $from->left->mm - $ratio * $to->givenMm,
            hypot($from->left->standard, $to->found->standard),
        );
    }

    public function as(IntervalKind $kind): self
    {
        return new self($this->from, $this->to, $kind, $this->drift, $this->standard);
    }

    public function use(): float
    {
        return $this->to->usage - $this->from->usage;
    }

    public function weight(): float
    {
        return 1 / max($this->standard, 1e-6) ** 2;
    }
}
