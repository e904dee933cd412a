<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Procedure\Proof;

/** What the book says beside the figures. */
final readonly class Book
{
    private function __construct(
        /** The figure as it stands in print, in both of its units. */
        public ?string $printed,
        public ?BookInterval $interval,
        /** @var list<Torque> */
        public array $torques,
        /** @var array<string, string> what it wants tried beside what is always tried, question by key */
        public array $proofs,
        /** How far its push rod is backed off, as the book says it, such as `3/4 turn`; null where it is silent. */
        public ?string $backOff,
        /** @var array<string, string> tools that replacing wants, by the key of its step */
        public array $tools,
    ) {}

    /**
     * @param  list<Torque>  $torques
     * @param  array<string, string>  $proofs
     * @param  array<string, string>  $tools
     */
    public static function says(
        ?string $printed,
        ?BookInterval $interval,
        array $torques,
        array $proofs,
        ?string $backOff = null,
        array $tools = [],
    ): self {
        return new self($printed, $interval, $torques, $proofs, $backOff, $tools);
    }

    public static function silent(): self
    {
        return new self(null, null, [], [], null, []);
    }

    /**
     * @return list<Proof> whether they run the machine the book alone knows: what was taken off is put back before them
     */
    public function proofs(): array
    {
        return array_map(
            static fn (string $key, string $question): Proof => Proof::yesIsRight(
                $key,
                $question,
                caution: 'Where it runs: outdoors, carbon monoxide kills. Operator in place, nobody in front.',
            )->running(),
            array_keys($this->proofs),
            array_values($this->proofs),
        );
    }
}
