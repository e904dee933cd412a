<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** What of a job may be the same look as one of a search. */
enum JobItemKind
{
    case Reading;
    case Thread;
    case Inspection;
    case Proof;
    case Measure;
}
