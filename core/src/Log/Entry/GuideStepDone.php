<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** One step of a guided sequence was done; the remark keeps what was counted, such as a back-off of half a turn. */
final readonly class GuideStepDone extends Entry
{
    public function __construct(Stamp $stamp, public string $adjuster, public string $key, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $adjuster, string $key): Draft
    {
        return new Draft(EntryKind::Step, ['adjuster' => $adjuster, 'key' => $key]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['adjuster', 'key'], ['remark']);

        return new self(
            $stamp,
            $body->at('adjuster')->string(40),
            $body->at('key')->string(40),
            self::remark($body),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Step;
    }

    public function said(LogNames $names): string
    {
        return self::withRemark(
            ucfirst($names->adjuster($this->adjuster)).': '.lcfirst($names->guideStep($this->adjuster, $this->key)),
            $this->remark,
        );
    }
}
