<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** A hard gate: its title when passed, and the reason that stands on the tag when it failed. */
final readonly class Gate
{
    /**
     * @param  bool  $isAtRest  whether it is judged with the machine at rest, and nothing is run while it has failed
     */
    private function __construct(
        public GateKey $key,
        public string $title,
        public string $failure,
        public bool $isAtRest,
    ) {}

    /** One that is told by what the machine does while it runs, or that does no harm to run with. */
    public static function running(GateKey $key, string $title, string $failure): self
    {
        return new self($key, $title, $failure, false);
    }

    /**
     * One that is looked at or tried by hand. While it has failed, the machine is not run: a throttle that may stick
     * open, a wire that may part, a brake that stays off.
     */
    public static function atRest(GateKey $key, string $title, string $failure): self
    {
        return new self($key, $title, $failure, true);
    }
}
