<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** What is done next about a complaint. */
enum StepKind: string
{
    /** Something is asked of whoever saw it. */
    case Ask = 'ask';
    case Check = 'check';
    /** A cause is put right, and it is tried whether that was it. */
    case Cure = 'cure';
    /** None of what is listed explains it. */
    case Unexplained = 'unexplained';
}
