<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\ReplacementReason;

/** One step of replacing the cable; the first gives the reason. */
final readonly class ReplacementStep extends Entry
{
    public function __construct(
        Stamp $stamp,
        public string $key,
        public ?ReplacementReason $reason,
        public ?string $remark,
        /** Which cable, where the control has several; said with the reason. */
        public ?string $cable = null,
        /** Whether the machine has what the step is about; where not, it is passed. */
        public bool $isHere = true,
    ) {
        parent::__construct($stamp);
    }

    public static function draft(string $key): Draft
    {
        return new Draft(EntryKind::Replacing, ['key' => $key]);
    }

    public static function draftNotHere(string $key): Draft
    {
        return new Draft(EntryKind::Replacing, ['key' => $key, 'not_here' => true]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['key'], ['reason', 'remark', 'cable', 'not_here']);

        return new self(
            $stamp,
            $body->at('key')->string(40),
            $body->optionalEnum('reason', ReplacementReason::class),
            self::remark($body),
            $body->optionalString('cable', 40),
            ! $body->flag('not_here'),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Replacing;
    }

    public function said(LogNames $names): string
    {
        return $this->reason !== null
            ? ($names->cable($this->cable) ?? 'Cable').' to be replaced: '.lcfirst($this->reason->label())
            : self::withRemark($names->replacementStep($this->key).($this->isHere ? '' : ': not here'), $this->remark);
    }
}
