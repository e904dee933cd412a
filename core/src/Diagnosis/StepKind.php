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
    /** Nothing more can be told from afar: it has to come to the bench, where this is looked at first. */
    case BringIn = 'bring_in';
    /** None of what is listed explains it. */
    case Unexplained = 'unexplained';
}
