<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** A hard gate: its title when passed, and the reason that stands on the tag when it failed. */
final readonly class Gate
{
    public function __construct(public GateKey $key, public string $title, public string $failure) {}
}
