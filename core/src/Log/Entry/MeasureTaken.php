<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\MeasureKey;

/**
 * One measured value, in the internal unit of what is measured; which plate or spring it is of, or how far from the
 * pivot a force was read, stands beside it.
 */
final readonly class MeasureTaken extends Entry
{
    public function __construct(
        Stamp $stamp,
        public MeasureKey $key,
        public float $value,
        public string $entered,
        public ?string $of,
        public ?float $atMm = null,
    ) {
        parent::__construct($stamp);
    }

    public static function draft(MeasureKey $key, float $value, string $entered, ?string $of): Draft
    {
        return new Draft(
            EntryKind::Measure,
            ['key' => $key->value, 'value' => $value, 'entered' => $entered] + ($of === null ? [] : ['of' => $of]),
        );
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['key', 'value', 'entered'], ['of', 'at_mm']);

        return new self(
            $stamp,
            $body->at('key')->enum(MeasureKey::class),
            $body->at('value')->number(-1e6, 1e6),
            $body->at('entered')->string(60),
            $body->optionalString('of', 20),
            $body->optionalNumber('at_mm', 1, 1000),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Measure;
    }

    public function said(LogNames $names): string
    {
        return $this->key->label().($this->of === null ? '' : " {$this->of}").": {$this->entered}"
            .(is_numeric(strtr($this->entered, ',', '.')) ? ' '.$this->key->dimension()->internalUnit() : '');
    }
}
