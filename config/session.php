<?php

declare(strict_types=1);

// Only what differs from the framework's own file: sessions lie in the database, so that several servers can share
// them.
return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 720,
    'cookie' => 'vivid_pull_session',
    'same_site' => 'lax',
    'http_only' => true,
];
