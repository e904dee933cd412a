<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

enum AdviceKind: string
{
    case Move = 'move';
    case GiveSlack = 'give_slack';
    case OutOfThread = 'out_of_thread';
}
