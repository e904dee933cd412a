<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Figure;

/**
 * The distances of this machine's own hand control, measured: how far its reading points move for a millimetre of wire
 * is known by them, whatever the spec of its model says.
 */
final readonly class HandMeasured extends Entry
{
    /**
     * @param  float  $wireMm  from the pivot to the wire; of a grip, the radius of its drum
     * @param  non-empty-array<string, float>  $pointMm  by reading point: from the pivot to it; of a grip, the radius
     *     of its flange
     */
    public function __construct(Stamp $stamp, public float $wireMm, public array $pointMm)
    {
        parent::__construct($stamp);
    }

    /** @param  array<string, float>  $pointMm  by reading point */
    public static function draft(float $wireMm, array $pointMm): Draft
    {
        return new Draft(EntryKind::Hand, ['wire_mm' => $wireMm, 'point_mm' => $pointMm]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['wire_mm', 'point_mm']);
        $points = [];
        foreach ($body->at('point_mm')->entries() as $point => $distance) {
            $points[Node::of($point, $distance->path)->enum(ReadingPoint::class)->value] = $distance->number(0.1, 1000);
        }
        if ($points === []) {
            throw BadFile::at($body->at('point_mm')->path, 'no reading point is measured.');
        }

        return new self($stamp, $body->at('wire_mm')->number(0.1, 500), $points);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Hand;
    }

    public function said(LogNames $names): string
    {
        $hand = $names->run->hand;
        $said = "{$hand->name} measured: ".lcfirst($hand->toWire()).' '.Figure::shortLength($this->wireMm);
        foreach ($this->pointMm as $point => $mm) {
            $said .= ', '.lcfirst($hand->toPoint(ReadingPoint::from($point))).' '.Figure::shortLength($mm);
        }

        return $said;
    }
}
