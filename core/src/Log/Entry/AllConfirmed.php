<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Family\Family;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\LogNames;
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

    /** @param  list<string>  $keys */
    public static function draft(array $keys): Draft
    {
        return new Draft(EntryKind::AllConfirmed, ['keys' => $keys]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $keys = $body->object(['keys'])->at('keys')->items(20);

        return new self($stamp, array_map(static fn (Node $key): string => $key->string(40), $keys));
    }

    public function kind(): EntryKind
    {
        return EntryKind::AllConfirmed;
    }

    public function said(LogNames $names): string
    {
        return implode('; ', array_map(
            static fn (Confirmed|Inspected $line): string => $line instanceof Confirmed
                ? $names->step($line->key)
                : $names->inspection($line->key).' sound',
            $this->each($names->family()),
        ));
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
