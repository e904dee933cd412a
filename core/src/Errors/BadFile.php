<?php

declare(strict_types=1);

namespace VividPull\Core\Errors;

use DomainException;

/** Something from outside that is not what its schema says; the sentence begins with the JSON path. */
final class BadFile extends DomainException implements CoreError
{
    private function __construct(public readonly string $path, public readonly string $problem)
    {
        parent::__construct("{$path}: {$problem}");
    }

    public static function at(string $path, string $problem): self
    {
        return new self($path, $problem);
    }
}
