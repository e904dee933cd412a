<?php

declare(strict_types=1);

namespace App\Refusals;

use App\Models\User;
use RuntimeException;
use VividPull\Core\Log\Permission;

/** Signed in, and not allowed to. */
final class Forbidden extends RuntimeException
{
    public static function to(User $user, Permission $what): self
    {
        if ($user->byPin && $user->role->may($what)) {
            return new self(
                "{$user->name} took over by PIN, and this asks for the password. Type it under the name at the top.",
            );
        }

        return new self("{$user->name} signs as {$user->acting()->value}, and this is for {$what->whoMay()}.");
    }

    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
