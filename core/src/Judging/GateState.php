<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Procedure\Gate;

/** One hard gate as it stands, with the sentence that says what failed or is still to be tried. */
final readonly class GateState
{
    public function __construct(public Gate $gate, public GateStatus $status, public string $sentence) {}
}
