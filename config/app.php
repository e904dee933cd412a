<?php

declare(strict_types=1);

// Only what differs from the framework's own file.
return [
    'name' => 'Vivid Pull',
    'timezone' => 'UTC',
    /** The zone of the workshop, in which its days begin and end. */
    'workshop_timezone' => env('WORKSHOP_TIMEZONE', 'UTC'),
    /**
     * Proxies whose word on the visitor's address and on HTTPS is believed, by address and with commas; `*` is every
     * one. Only for those who bring their own.
     */
    'trusted_proxies' => env('TRUSTED_PROXIES'),
    /**
     * Where plain http and HTTPS are served to a network, and the certificate of the workshop's own authority; nothing
     * where there is no HTTPS.
     */
    'plain_port' => env('WORKSHOP_PLAIN_PORT'),
    'https_port' => env('WORKSHOP_HTTPS_PORT'),
    'address' => env('WORKSHOP_ADDRESS'),
    'authority' => env('WORKSHOP_AUTHORITY'),
    /** Whether the demo workshop was loaded: its sign-ins are then offered on the sign-in screen. */
    'demo' => (bool) env('WORKSHOP_DEMO', false),
    /** Where the simulated gauges of the demo listen for words; nothing where there are none. */
    'simulated_gauges' => env('SIMULATED_GAUGES'),
];
