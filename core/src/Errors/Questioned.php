<?php

declare(strict_types=1);

namespace VividPull\Core\Errors;

use DomainException;

/** What is unlikely and may yet be so: it stands once the person says that they are sure. */
final class Questioned extends DomainException implements CoreError
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
