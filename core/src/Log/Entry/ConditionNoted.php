<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Spec\Conditions;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Wheels;

/** The state of the machine from here on, as far as its figure asks for it; it prefills the readings that follow. */
final readonly class ConditionNoted extends Entry
{
    public function __construct(Stamp $stamp, public ?EngineHeat $engine, public ?Wheels $wheels)
    {
        parent::__construct($stamp);
    }

    /**
     * With what was said before and not said anew: another control of the visit asks for the heat, this one for the
     * wheels.
     */
    public function after(?self $before): self
    {
        return new self($this->stamp, $this->engine ?? $before?->engine, $this->wheels ?? $before?->wheels);
    }

    public function label(): string
    {
        return Conditions::say($this->engine, $this->wheels);
    }

    public static function draft(?EngineHeat $engine, ?Wheels $wheels): Draft
    {
        return new Draft(
            EntryKind::Condition,
            array_filter(['engine' => $engine?->value, 'wheels' => $wheels?->value], is_string(...)),
        );
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object([], ['engine', 'wheels']);

        return new self(
            $stamp,
            $body->optionalEnum('engine', EngineHeat::class),
            $body->optionalEnum('wheels', Wheels::class),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Condition;
    }

    public function said(LogNames $names): string
    {
        return $this->label();
    }
}
