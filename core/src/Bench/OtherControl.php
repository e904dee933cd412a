<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Errors\Quoted;

/** Another control of the same machine, and what it says against running the machine. */
final readonly class OtherControl
{
    /**
     * @param  string  $name  as it stands within a sentence
     * @param  list<string>  $coversOff  names of covers that its open job has off, and that must be on when the machine
     *     runs
     * @param  string|null  $tag  the reason on the tag that hangs on it
     * @param  list<string>  $failed  what its open job found wrong with the machine at rest, so that nothing is run
     * @param  list<string>  $reported  what somebody said of it that stops the machine until its cause is found, in
     *     their words; nobody looked yet
     * @param  list<string>  $untried  what its open job changed and nobody tried by hand since
     */
    public function __construct(
        public string $name,
        public array $coversOff,
        public ?string $tag,
        public array $failed = [],
        public array $reported = [],
        public array $untried = [],
    ) {}

    /** Whether anything of it speaks against running the machine. */
    public function isAgainst(): bool
    {
        return $this->against() !== [];
    }

    /** What its covers say, or null where none is off. */
    public function cover(): ?string
    {
        return $this->coversOff === []
            ? null
            : "This runs the machine, and its {$this->coversAreOff()} Put it back, and say so there.";
    }

    private function coversAreOff(): string
    {
        return implode(' and ', $this->coversOff).(count($this->coversOff) === 1 ? ' is' : ' are')
            ." off, as the job on its {$this->name} has it.";
    }

    /** What its open job found, or null where nothing stands against running. */
    public function failed(): ?string
    {
        return $this->failed === [] ? null
            : "This runs the machine, and the job on its {$this->name} found what is not to be run: "
                .implode(' ', $this->failed).' Put it right there, or tag it.';
    }

    /** What nobody tried by hand since it was changed, or null where all was. */
    public function untried(): ?string
    {
        return $this->untried === []
            ? null
            : "This runs the machine, and what was changed on its {$this->name} was not tried by hand since. "
                .implode(' ', $this->untried).' Try that first.';
    }

    /**
     * What was reported of it, or null where nothing was that stops the machine. It is said, and refuses nothing:
     * nobody looked yet.
     */
    public function reported(): ?string
    {
        return $this->reported === []
            ? null
            : "This runs the machine, and of its {$this->name} is reported: {$this->words()}. Look into that first.";
    }

    private function words(): string
    {
        return implode(', ', array_map(lcfirst(...), $this->reported));
    }

    /** @return list<string> all of it, where something is asked that runs the machine */
    public function whenRun(): array
    {
        return array_values(array_filter(
            [$this->cover(), $this->failed(), $this->untried(), $this->tag(), $this->reported()],
            is_string(...),
        ));
    }

    /** @return list<string> all of it, where nothing is asked yet that runs the machine */
    public function against(): array
    {
        return [
            ...($this->tag === null ? [] : ["A tag hangs on its {$this->name}: ".Quoted::text($this->tag).'.']),
            ...($this->failed === [] ? [] : ["The job on its {$this->name} found: ".implode(' ', $this->failed)]),
            ...($this->untried === []
                ? []
                : ["What was changed on its {$this->name} was not tried by hand since. ".implode(' ', $this->untried)]),
            ...($this->reported === [] ? [] : ["Of its {$this->name} is reported: {$this->words()}."]),
            ...($this->coversOff === [] ? [] : ["Its {$this->coversAreOff()}"]),
        ];
    }

    /** What its tag says, or null where none hangs on it. */
    public function tag(): ?string
    {
        return $this->tag === null ? null
            : "This runs the machine, and a tag hangs on its {$this->name}: ".Quoted::text($this->tag)
                .'. Do not run it. A lead may, and lifts the tag once that is put right.';
    }
}
