<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\CountedSteps;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Steps;

/** An adjuster was turned; out is positive, and null is an amount nobody counted. */
final readonly class Moved extends Entry
{
    public function __construct(Stamp $stamp, public string $adjuster, public ?Steps $steps)
    {
        parent::__construct($stamp);
    }

    public static function draft(Adjuster $adjuster, Steps $steps): Draft
    {
        return new Draft(
            EntryKind::Move,
            ['adjuster' => $adjuster->id(), $adjuster->counting()->unit->field() => $steps->toFloat()],
        );
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['adjuster'], [...CountedSteps::FIELDS, 'uncounted']);
        $adjuster = $body->at('adjuster')->string(40);
        $isUncounted = $body->flag('uncounted');
        if ($isUncounted && CountedSteps::areIn($body)) {
            throw BadFile::at($body->path, 'a move is either counted or “uncounted”, not both.');
        }
        $steps = $isUncounted ? null : CountedSteps::of($body, -CountedSteps::MOST_TURNS, $with->adjuster($adjuster));
        if ($steps?->isNone() === true) {
            throw BadFile::at($body->path, 'a move of nothing is no move.');
        }

        return new self($stamp, $adjuster, $steps);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Move;
    }

    public function said(LogNames $names): string
    {
        return $names->adjuster($this->adjuster).' '
            .($this->steps === null
                ? 'turned, not counted'
                : $names->run->everKnown($this->adjuster)?->say($this->steps));
    }
}
