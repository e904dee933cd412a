<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

enum PlanKind: string
{
    case Read = 'read';
    case Move = 'move';
    case Decide = 'decide';
    case Prove = 'prove';
    case OutOfThread = 'out_of_thread';
    case RoutingFault = 'routing_fault';
    case Over = 'over';
}
