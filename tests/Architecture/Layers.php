<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** The folders of the core, from the bottom up. */
final class Layers
{
    public const OF_THE_CORE = [
        'Errors', 'Statistics', 'Quantity', 'Input', 'Gauge', 'Cable', 'Procedure', 'Trace', 'Spec', 'Family', 'Measurement',
        'Log', 'Facts', 'Learning',
        'Judging', 'Planning', 'Progress', 'Bench', 'Wear', 'Day', 'Diagnosis', 'Wire', 'Practice',
    ];
}
