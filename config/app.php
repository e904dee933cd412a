<?php

declare(strict_types=1);

// Only what differs from the framework's own file.
return [
    'name' => 'Vivid Pull',
    'timezone' => 'UTC',
    /** The zone of the workshop, in which its days begin and end. */
    'workshop_timezone' => env('WORKSHOP_TIMEZONE', 'UTC'),
    /** Whether the demo workshop was loaded: its sign-ins are then offered on the sign-in screen. */
    'demo' => (bool) env('WORKSHOP_DEMO', false),
];
