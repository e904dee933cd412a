<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\ThreadPitch;
use VividPull\Core\Quantity\Turns;

/** A barrel, in-line adjuster or pair of bracket nuts: a thread that moves the conduit's end. */
final readonly class ThreadedAdjuster implements Adjuster
{
    private function __construct(
        private string $id,
        private string $name,
        private AdjusterKind $kind,
        public ThreadPitch $pitch,
        private Sense $sense,
        private TurnRange $travel,
        private TurnRange $healthy,
        private Turns $smallestStep,
        private AdjusterAccess $access,
        public string $lock,
        public ?float $lockTorqueNm,
    ) {}

    /**
     * @param  float  $travelMm  thread from fully in to the last position that still holds
     * @param  TurnRange|null  $healthy  null for the default: at most half out
     *
     * @throws OutOfRange If the travel is not above zero.
     */
    public static function of(
        string $id,
        string $name,
        AdjusterKind $kind,
        ThreadPitch $pitch,
        Sense $sense,
        float $travelMm,
        ?TurnRange $healthy,
        Turns $smallestStep,
        AdjusterAccess $access,
        string $lock,
        ?float $lockTorqueNm,
    ): self {
        if (! ($travelMm > 0.0)) {
            throw OutOfRange::positive('An adjuster\'s travel, in mm,', $travelMm);
        }
        $travel = TurnRange::between(Turns::none(), Turns::fromCount((int) floor($travelMm / $pitch->mm * Turns::PER_TURN + 1e-6)));
        $half = TurnRange::between(Turns::none(), Turns::fromCount(intdiv($travel->to->count, 2)));

        return new self($id, $name, $kind, $pitch, $sense, $travel, $healthy ?? $half, $smallestStep, $access, $lock, $lockTorqueNm);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function kind(): AdjusterKind
    {
        return $this->kind;
    }

    public function travel(): TurnRange
    {
        return $this->travel;
    }

    public function healthy(): TurnRange
    {
        return $this->healthy;
    }

    public function smallestStep(): Turns
    {
        return $this->smallestStep;
    }

    public function access(): AdjusterAccess
    {
        return $this->access;
    }

    public function sense(): Sense
    {
        return $this->sense;
    }

    public function slackGiven(Turns $steps): float
    {
        return -$this->sense->sign() * $this->pitch->mm * $steps->toFloat();
    }

    public function threadShowing(Turns $position): float
    {
        return $this->pitch->mm * $position->toFloat();
    }

    public function positionShowing(float $mm): Turns
    {
        return Turns::nearest($mm / $this->pitch->mm);
    }

    public function say(Turns $steps): string
    {
        return ($steps->count < 0 ? 'in ' : 'out ').$steps->say();
    }
}
