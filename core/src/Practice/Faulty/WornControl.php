<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

use VividPull\Core\Practice\SeededChance;

/**
 * A control as it was made and has worn: how far each of its quantities is from what it should be, and what follows
 * from that by mechanics. It knows nothing of causes, grades and chances of the search, so that the search can be tried
 * on it. Our own figures, no source, except where named.
 *
 * Play is in half widths of its band: −1 and 1 are its edges. Forces and strokes are shares of what they are on a sound
 * control.
 */
final class WornControl
{
    /**
     * Friction of an oiled wire in its conduit, and the bends of a usual route in radians: what a pull is multiplied by
     * (Euler and Eytelwein).
     */
    private const FRICTION = 0.08;

    private const BENDS = 2.0;

    /** From here on a hand says that it is heavy, or that a wire drags. */
    private const HEAVY = 1.45;

    private const STIFF = 1.5;

    /** What pivots, seals and a far spring hold against the return spring, as a share of its force. */
    private const RESISTS = 0.35;

    /** @var array<string, float> by quantity; what is not there is as it should be */
    private array $is = [];

    public function __construct(public SeededChance $chance)
    {
        $this->put('slack', max(-0.6, min(0.6, 0.25 * $chance->normal())));
        // Where whatever is loose happens to stand today.
        $this->put('today', $chance->between(-1.0, 1.0));
    }

    public function put(string $quantity, float $by): void
    {
        $this->is[$quantity] = $this->of($quantity) + $by;
    }

    public function of(string $quantity): float
    {
        return $this->is[$quantity] ?? 0.0;
    }

    public function play(): float
    {
        return $this->of('slack')
            + $this->of('grown')
            + 0.45 * $this->of('poking_mm')
            - 0.8 * $this->standsOut()
            + $this->of('mount') * $this->of('today')
            + $this->of('heat');
    }

    /** A ferrule out of its seat slips back and forth: two days of three it stands on its edge. */
    public function standsOut(): float
    {
        return $this->of('today') < 0.34 ? $this->of('unseated_mm') : 0.0;
    }

    /** What the cable multiplies a pull by, against a sound one. */
    public function drag(): float
    {
        return exp(
            (self::FRICTION + $this->of('friction')) * (self::BENDS + $this->of('bends'))
                - self::FRICTION * self::BENDS,
        ) * (1.0 + 5.0 * $this->of('strands')) * (1.0 + 0.1 * $this->of('poking_mm'));
    }

    public function isHeavy(): bool
    {
        return $this->drag() * (1.0 + $this->of('stiff')) > self::HEAVY;
    }

    public function springsBack(): bool
    {
        return (1.0 - $this->of('spring_lost')) / $this->drag() > self::RESISTS + 0.5 * $this->of('stiff');
    }

    /** How much play differs from one day to the next, as a standard deviation. */
    public function varies(): float
    {
        return hypot(0.6 * $this->of('mount'), 0.45 * $this->of('unseated_mm'))
            + 0.12 * max(0.0, $this->of('bends') - 1.5)
            + abs($this->of('heat'));
    }

    /** Whether a person looking sees it: what is far past the edge nearly always, what is near it as often as not. */
    public function sees(float $amount, float $edge, float $blur): bool
    {
        return $amount + $blur * $this->chance->normal() > $edge;
    }

    /** One reading, or none of two ways. */
    public function reads(float $play): ?string
    {
        $read = $play + 0.12 * $this->chance->normal();

        return $read < -1.0 ? 'tight' : ($read > 1.0 ? 'loose' : null);
    }

    /** @return array<string, bool> what anybody notices of any cable, by symptom */
    public function noticed(): array
    {
        return [
            'heavy' => $this->isHeavy(),
            'no_spring_back' => ! $this->springsBack(),
            'play_changes' => $this->varies() > 0.35,
            'end_of_thread' => $this->of('thread') > 0.5,
            'again_and_again' => abs($this->of('rate')) + 0.4 * $this->of('mount') > 0.35,
            'wobbles' => $this->of('barrel_loose') > 0.3,
            'dead_travel' => $this->play() > 1.15,
        ];
    }

    /** @return array<string, string|null> what is seen of any cable, by look; null is as it should be */
    public function lookedAt(): array
    {
        return [
            'wire' => $this->sees($this->of('strands'), 0.04, 0.015) ? 'frayed' : null,
            'thread' => $this->of('thread') > 0.5 ? 'end' : null,
            'play' => $this->reads($this->play()),
            'story' => $this->story(),
            'conduit' => match (true) {
                $this->sees($this->of('poking_mm'), 0.8, 0.3) => 'shortened',
                $this->sees($this->standsOut(), 0.4, 0.15) => 'unseated',
                $this->sees($this->of('bends'), 1.2, 0.4) => 'trapped',
                default => null,
            },
            'drag' => $this->drag() * (1.0 + 0.06 * $this->chance->normal()) > self::STIFF ? 'stiff' : null,
        ];
    }

    /** What the last four visits would have shown: play that went one way, or one step that no wear makes. */
    private function story(): ?string
    {
        $noise = 0.15;
        $play = array_map(
            fn (int $visit): float => $this->of('rate') * $visit + $noise * $this->chance->normal(),
            [0, 1, 2, 3],
        );
        $jump = $this->of('jumped')
            + ($this->of('unseated_mm') > 0.0 && $this->standsOut() > 0.0 ? -0.8 * $this->of('unseated_mm') : 0.0)
            + ($play[3] - $play[2] - $this->of('rate'));
        $drift = ($play[3] - $play[0]) / 3.0;

        return match (true) {
            abs($jump) > 6 * $noise => 'jumped',
            $drift > 2.5 * $noise => 'grows',
            $drift < -2.5 * $noise => 'shrinks',
            default => null,
        };
    }
}
