<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

enum GateStatus: string
{
    case Passed = 'passed';
    case Failed = 'failed';
    case Unknown = 'unknown';
}
