<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** An answer to one proof, in one pose where the proof has poses. */
final readonly class Checked extends Entry
{
    public function __construct(
        Stamp $stamp,
        public string $key,
        public ?Pose $pose,
        public string $answer,
        public ?string $remark = null,
    ) {
        parent::__construct($stamp);
    }

    public static function draft(string $key, string $answer, ?Pose $pose = null): Draft
    {
        return new Draft(
            EntryKind::Check,
            ['key' => $key, 'answer' => $answer] + ($pose === null ? [] : ['pose' => $pose->value]),
        );
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['key', 'answer'], ['pose', 'remark']);

        return new self(
            $stamp,
            $body->at('key')->string(40),
            $body->optionalEnum('pose', Pose::class),
            $body->at('answer')->string(40),
            self::remark($body),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Check;
    }

    public function said(LogNames $names): string
    {
        $proof = $names->proof($this->key);

        return $proof === null
            ? $this->key
            : rtrim($proof->question, '?').($this->pose === null ? '' : ', '.$this->pose->label()).': '
                .lcfirst($proof->answers->words[$this->answer] ?? $this->answer)
                .($this->remark === null ? '' : ": {$this->remark}");
    }
}
