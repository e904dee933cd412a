<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** A picture was taken and kept: of a route, a hole, a fitting. */
final readonly class PhotoTaken extends Entry
{
    public function __construct(Stamp $stamp, public string $photo, public string $of)
    {
        parent::__construct($stamp);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['photo', 'of']);

        return new self($stamp, $body->at('photo')->string(40), $body->at('of')->string(60));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Photo;
    }

    public function said(LogNames $names): string
    {
        return "Picture of the {$this->of}";
    }
}
