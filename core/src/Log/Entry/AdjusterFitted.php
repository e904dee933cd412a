<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** An adjuster that this machine has and its model has not: in another's place, or one more on a cable. */
final readonly class AdjusterFitted extends Entry
{
    /**
     * @param  string  $cable  id of the cable it sits on
     * @param  string|null  $inPlaceOf  id of the adjuster it took the place of; null where it is one more, next to the
     *     working end
     * @param  string|null  $remark  its number, or where it came from
     */
    public function __construct(
        Stamp $stamp,
        public Adjuster $adjuster,
        public string $cable,
        public ?string $inPlaceOf,
        public ?string $remark,
    ) {
        parent::__construct($stamp);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['cable', 'adjuster'], ['in_place_of', 'remark']);

        return new self(
            $stamp,
            $with->fitted($body->at('adjuster')),
            $body->at('cable')->string(40),
            $body->optionalString('in_place_of', 40),
            self::remark($body),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Adjuster;
    }

    public function said(LogNames $names): string
    {
        $place = $this->inPlaceOf === null ? ' added' : " in place of the {$names->adjuster($this->inPlaceOf)}";

        return self::withRemark(ucfirst($this->adjuster->name()).$place, $this->remark);
    }
}
