<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Family\Family;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\Step;

/**
 * The lines of a stage confirmed together: what was done, and what was found sound. It names each line that was on the
 * screen.
 */
final readonly class AllConfirmed extends Entry
{
    /** @param  list<string>  $keys  keys of steps and of parts looked over */
    public function __construct(Stamp $stamp, public array $keys)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::AllConfirmed;
    }

    /**
     * The same as entries of a line each.
     *
     * @param  Family  $family  of the control, whose lines they are
     * @return list<Confirmed|Inspected>
     */
    public function each(Family $family): array
    {
        $parts = array_map(static fn (Inspection $one): string => $one->key, $family->lookOver());
        $known = [...array_map(static fn (Step $one): string => $one->key, $family->makeSafe()), ...$parts];

        return array_map(fn (string $key): Confirmed|Inspected => in_array($key, $parts, true)
            ? new Inspected($this->stamp, $key, Finding::Sound, null)
            : new Confirmed($this->stamp, $key, null), array_values(array_intersect($this->keys, $known)));
    }
}
