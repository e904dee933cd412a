<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Trace\TraceSummary;

/** A pull was kept as a curve; the points are kept beside the log, and what they told stands here. */
final readonly class TraceTaken extends Entry
{
    public function __construct(
        Stamp $stamp,
        public string $trace,
        public int $points,
        /** Where the travel was measured. */
        public ReadingPoint $point,
        /** With what; null where its marks are not known. */
        public ?string $instrument,
        /** How far from the pivot the force was measured, in mm; null where nobody said. */
        public ?float $atMm,
        /** Whether it was pulled as far as it goes. */
        public bool $isToStop,
        public TraceSummary $told,
        /** How far it was pulled, in mm, where its points have times and no travel. */
        public ?float $reachMm = null,
    ) {
        parent::__construct($stamp);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['trace', 'points', 'point', 'to_stop', 'told'], ['instrument', 'at_mm', 'reach_mm']);

        return new self(
            $stamp,
            $body->at('trace')->string(40),
            (int) $body->at('points')->number(1, 1e6),
            $body->at('point')->enum(ReadingPoint::class),
            $body->optionalString('instrument', 40),
            $body->optionalNumber('at_mm', 1, 2000),
            $body->at('to_stop')->boolean(),
            $with->told($body->at('told')),
            $body->optionalNumber('reach_mm', 1, 1000),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Trace;
    }

    public function said(LogNames $names): string
    {
        $play = $this->told->playMm === null ? '' : ', free play ends at '.Figure::length($this->told->playMm);
        $lost = $this->told->lost() === null ? '' : ", {$this->told->lost()} % lost to friction";

        return "Pull as a curve, {$this->points} points{$play}{$lost}";
    }
}
