<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

enum PlanKind: string
{
    case Read = 'read';
    case Move = 'move';
    case Decide = 'decide';
    case Prove = 'prove';
    /** A guided sequence has been begun, and is finished before anything else. */
    case Guided = 'guided';
    case OutOfThread = 'out_of_thread';
    /** What to do follows from what the settings did. */
    case Table = 'table';
    case NotSettable = 'not_settable';
    case RoutingFault = 'routing_fault';
    /** Turned to and fro: what is suspected, and what one measurement would settle it. */
    case Suspect = 'suspect';
    case Over = 'over';

    /** Whether the bench says where to look for what is wrong, and it may be that nothing is found there. */
    public function isLookedFor(): bool
    {
        return match ($this) {
            self::RoutingFault, self::Suspect => true,
            default => false,
        };
    }
}
