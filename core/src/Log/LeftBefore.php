<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** What the last signature on a control left as it was: outside its band by choice, or a fault with its reason. */
final readonly class LeftBefore
{
    /** @param  list<string>  $faults  each with the part and why it was left */
    public function __construct(public ?string $byChoice, public array $faults, public string $at, public string $by) {}

    /** @return list<string> a sentence each */
    public function said(): array
    {
        $when = substr($this->at, 0, 10);

        return [
            ...($this->byChoice === null
                ? []
                : ["Left outside its band by choice on {$when} by {$this->by}: {$this->byChoice}"]),
            ...array_map(
                fn (string $fault): string => "A fault was left on {$when} by {$this->by}: {$fault}",
                $this->faults,
            ),
        ];
    }
}
