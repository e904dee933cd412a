<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\LockStep;

/** A safety, lock or closing step was done; a lock nut names its adjuster. */
final readonly class Confirmed extends Entry
{
    public function __construct(Stamp $stamp, public string $key, public ?string $adjuster)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $key, ?string $adjuster = null): Draft
    {
        return new Draft(EntryKind::Confirmed, ['key' => $key] + ($adjuster === null ? [] : ['adjuster' => $adjuster]));
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['key'], ['adjuster']);

        return new self($stamp, $body->at('key')->string(40), $body->optionalString('adjuster', 40));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Confirmed;
    }

    public function said(LogNames $names): string
    {
        return $this->key === LockStep::KEY
            ? $names->adjuster($this->adjuster ?? '').' locked'
            : $names->step($this->key);
    }
}
