<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** The cover over an adjuster came off, or went back on. */
final readonly class CoverMoved extends Entry
{
    public function __construct(Stamp $stamp, public string $adjuster, public bool $off)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $adjuster, bool $off): Draft
    {
        return new Draft(EntryKind::Cover, ['adjuster' => $adjuster, 'off' => $off]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['adjuster', 'off']);

        return new self($stamp, $body->at('adjuster')->string(40), $body->at('off')->boolean());
    }

    public function kind(): EntryKind
    {
        return EntryKind::Cover;
    }

    public function said(LogNames $names): string
    {
        return ucfirst($names->run->everCovers()[$this->adjuster] ?? 'cover').($this->off ? ' off' : ' back on');
    }
}
