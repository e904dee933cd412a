<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Trace\TraceSummary;

/** What reading the body of an entry may ask for beside the body. */
interface Decoding
{
    public function run(): Run;

    /** One of the run, or one that an entry before this one fitted. */
    public function adjuster(string $id): ?Adjuster;

    /** One that this entry fits: what comes after it in the log may speak of it. */
    public function fitted(Node $adjuster): Adjuster;

    public function standing(Node $standing): Standing;

    public function wish(Node $wish): RidersWish;

    public function told(Node $trace): TraceSummary;

    public function entry(EntryKind $kind, Node $body, Stamp $stamp): Entry;
}
