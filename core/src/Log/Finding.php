<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

enum Finding: string
{
    case Sound = 'sound';
    case Noted = 'noted';
    case Fault = 'fault';
}
