<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Input\Node;

final readonly class Person
{
    public function __construct(public string $id, public string $name, public Role $role) {}

    public static function from(Node $node): self
    {
        $node->object(['id', 'name', 'role']);

        return new self(
            $node->at('id')->string(60),
            $node->at('name')->string(60),
            $node->at('role')->enum(Role::class),
        );
    }

    public function is(self $other): bool
    {
        return $this->id === $other->id;
    }
}
