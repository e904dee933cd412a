<?php

declare(strict_types=1);

namespace App\Refusals;

use RuntimeException;

/** An entry that the person who is signed in here did not write: another took the device over since. */
final class WrittenByAnother extends RuntimeException
{
    public static function than(string $author, string $signedIn): self
    {
        return new self("This was written by {$author}, and {$signedIn} is signed in here now. It is kept on its device until {$author} signs in there again.");
    }
}
