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

    /** Why a reading taken in this state cannot be held against the band, or null when it can. */
    public function objection(EngineHeat $engine, Wheels $wheels): ?string
    {
        return match (true) {
            $this->engine !== null && $this->engine !== $engine => "read {$engine->value}; the figure is for a {$this->engine->value} engine",
            $this->wheels !== null && $this->wheels !== $wheels => "read {$wheels->label()}; the figure is for the machine {$this->wheels->label()}",
            default => null,
        };
    }

    public function allows(Pose $pose): bool
    {
        return in_array($pose, $this->poses, true);
    }
}
