<?php

declare(strict_types=1);

namespace App\Http\Problems;

use App\Models\User;
use RuntimeException;
use VividPull\Core\Bench\Permission;

/** Signed in, and not allowed to. */
final class Forbidden extends RuntimeException
{
    public static function to(User $user, Permission $what): self
    {
        return new self("{$user->name} signs as {$user->role->value}, and this is for {$what->whoMay()}.");
    }

    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
