<?php

declare(strict_types=1);

namespace App\Bench;

/** What is answered on the way to a cause. */
enum AnswerKind: string
{
    /** Yes or no to something people come with. */
    case Symptom = 'symptom';
    /** What a look showed. */
    case Check = 'check';
    /** A look that cannot be made now. */
    case Skip = 'skip';
    /** A cause was put right, and it is still there. */
    case Tried = 'tried';
    /** What was answered about a thing before is taken back. */
    case Back = 'back';
}
