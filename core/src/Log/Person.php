<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

final readonly class Person
{
    public function __construct(public string $id, public string $name, public Role $role) {}

    public function is(self $other): bool
    {
        return $this->id === $other->id;
    }
}
