<?php

declare(strict_types=1);

// What is not named here is Laravel's own default.
return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 720,
    'cookie' => 'silver_parrot',
    'same_site' => 'lax',
    'http_only' => true,
];
