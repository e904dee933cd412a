<?php

declare(strict_types=1);

namespace App\Refusals;

use App\Models\User;
use RuntimeException;

/** An entry that the person who is signed in here did not write: another took the device over since. */
final class WrittenByAnother extends RuntimeException
{
    /**
     * @param  string|null  $author  sign-in name of who wrote it; null from a tool that has no person of its own
     *
     * @throws self If it is not who is signed in.
     */
    public static function unless(?string $author, User $signedIn): void
    {
        if ($author !== null && $author !== $signedIn->login) {
            throw self::than(User::query()->where('login', $author)->value('name') ?? 'somebody else', $signedIn->name);
        }
    }

    private static function than(string $author, string $signedIn): self
    {
        return new self(
            "This was written by {$author}, and {$signedIn} is signed in here now. It is kept on its device until {$author} signs in there again.",
        );
    }
}
