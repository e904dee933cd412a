<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** That a cause brings a thing about: how often, and why in one line. */
final readonly class Link
{
    public function __construct(public Grade $grade, public string $reason) {}
}
