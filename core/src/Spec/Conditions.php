<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Cable\Pose;

/** The state in which the spec's figure holds. Null means that the spec allows any. */
final readonly class Conditions
{
    /** @param  list<Pose>  $poses  straight first */
    private function __construct(public ?EngineHeat $engine, public ?Wheels $wheels, public array $poses) {}

    /** @param  list<Pose>  $poses */
    public static function of(?EngineHeat $engine, ?Wheels $wheels, array $poses): self
    {
        return new self($engine, $wheels, $poses === [] ? [Pose::Straight] : $poses);
    }

    /**
     * The same, in these poses as well: a family's own poses are not the spec's to leave out.
     *
     * @param  list<Pose>  $poses
     */
    public function inAll(array $poses): self
    {
        $more = array_filter($poses, fn (Pose $pose): bool => ! $this->allows($pose));

        return $more === [] ? $this : new self($this->engine, $this->wheels, [...$this->poses, ...array_values($more)]);
    }

    /** Whether the state changes what a reading is worth: where the figure holds in any, nobody needs to say it. */
    public function matter(): bool
    {
        return $this->engine !== null || $this->wheels !== null;
    }

    /**
     * Why a reading taken in this state cannot be held against the band, or null when it can.
     *
     * @param  EngineHeat|null  $engine  null where nobody said it
     * @param  Wheels|null  $wheels  null where nobody said it
     */
    public function objection(?EngineHeat $engine, ?Wheels $wheels): ?string
    {
        return match (true) {
            $this->engine !== null && $this->engine !== $engine => ($engine === null
                ? 'nobody said whether it was cold or hot'
                : "read {$engine->value}")
                ."; the figure is for a {$this->engine->value} engine",
            $this->wheels !== null && $this->wheels !== $wheels => ($wheels === null
                ? 'nobody said how it stood'
                : "read {$wheels->label()}")
                ."; the figure is for the machine {$this->wheels->label()}",
            default => null,
        };
    }

    /** Read on a stand for a figure on its wheels: good enough to set by, and proved on the ground. */
    public function areProvisional(?EngineHeat $engine, ?Wheels $wheels): bool
    {
        return $this->wheels === Wheels::OnGround
            && $wheels === Wheels::OnStand
            && $this->objection($engine, Wheels::OnGround) === null;
    }

    /** A state in words, as far as it was said. */
    public static function say(?EngineHeat $engine, ?Wheels $wheels): string
    {
        return ucfirst(implode(', ', array_filter([$engine?->value, $wheels?->label()], is_string(...))));
    }

    public function allows(Pose $pose): bool
    {
        return in_array($pose, $this->poses, true);
    }
}
