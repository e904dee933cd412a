<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\Symptom;

/**
 * Somebody said what feels wrong while the job is open: the job asks of each whether it is gone. Whoever noticed it
 * need not work on the job.
 */
final readonly class Complained extends Entry
{
    /** @param  list<Symptom>  $symptoms */
    public function __construct(Stamp $stamp, public array $symptoms)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Complaint;
    }
}
