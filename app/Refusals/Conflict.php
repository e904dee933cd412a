<?php

declare(strict_types=1);

namespace App\Refusals;

use RuntimeException;
use Throwable;

/** What was sent contradicts what stands already. */
final class Conflict extends RuntimeException
{
    public function __construct(string $sentence, ?Throwable $previous = null)
    {
        parent::__construct($sentence, 0, $previous);
    }
}
