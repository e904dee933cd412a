<?php

declare(strict_types=1);

namespace App\Refusals;

use RuntimeException;

/** A token that no computer here has, or has any more. */
final class UnknownToken extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('This token is not known here, or was ended. A lead makes a new one at Shelf, Gauges.');
    }
}
