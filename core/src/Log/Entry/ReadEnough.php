<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/**
 * A person leaves a reading that can't be told from the edge of its band as it is: the instrument can say no more.
 * Until the next move.
 */
final readonly class ReadEnough extends Entry
{
    public function __construct(Stamp $stamp, public ReadingPoint $point, public Pose $pose)
    {
        parent::__construct($stamp);
    }

    public static function draft(ReadingPoint $point, Pose $pose): Draft
    {
        return new Draft(EntryKind::Enough, ['point' => $point->value, 'pose' => $pose->value]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['point', 'pose']);

        return new self(
            $stamp,
            $body->at('point')->enum(ReadingPoint::class),
            $body->at('pose')->enum(Pose::class),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Enough;
    }

    public function said(LogNames $names): string
    {
        return "Left as it reads at the {$names->spec->pointName($this->point)}"
            .($this->pose === Pose::Straight ? '' : ", {$this->pose->label()}")
            .': the instrument can say no more';
    }

    public static function place(ReadingPoint $point, Pose $pose): string
    {
        return "{$point->value}/{$pose->value}";
    }
}
