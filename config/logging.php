<?php

declare(strict_types=1);

// What is not named here is Laravel's own default. Logs are the owner's alone, and forgotten after two weeks.
return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        'single' => [
            'driver' => 'daily',
            'path' => storage_path('logs/laravel.log'),
            'level' => env('LOG_LEVEL', 'info'),
            'days' => 14,
            'permission' => 0o600,
        ],
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/laravel.log'),
            'level' => env('LOG_LEVEL', 'info'),
            'days' => 14,
            'permission' => 0o600,
        ],
        // Mail that is written and not sent: it holds links that sign people in, so it stands in a file of its own.
        'mail' => [
            'driver' => 'daily',
            'path' => storage_path('logs/mail.log'),
            'level' => 'debug',
            'days' => 3,
            'permission' => 0o600,
        ],
    ],
];
