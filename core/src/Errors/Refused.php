<?php

declare(strict_types=1);

namespace VividPull\Core\Errors;

use DomainException;

/** An entry that was understood but may not stand in this log; the sentence says why and what to do instead. */
final class Refused extends DomainException implements CoreError
{
    /** @param  list<string>  $missing  what stands in the way, one sentence each, for the screen to list */
    private function __construct(string $sentence, public readonly array $missing = [])
    {
        parent::__construct($sentence);
    }

    public static function because(string $sentence): self
    {
        return new self($sentence);
    }

    /** @param  list<string>  $missing */
    public static function missing(string $sentence, array $missing): self
    {
        return new self($sentence.' '.implode(' ', $missing), $missing);
    }
}
