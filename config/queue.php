<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),

    'connections' => [
        'sync' => ['driver' => 'sync'],
        // A job that its worker died over is taken up again a while after its longest time.
        'database' => [
            'driver' => 'database',
            'connection' => null,
            'table' => 'jobs',
            'queue' => 'default',
            'retry_after' => 300,
            'after_commit' => true,
        ],
    ],

    'batching' => ['database' => 'mariadb', 'table' => 'job_batches'],

    'failed' => ['driver' => 'database-uuids', 'database' => 'mariadb', 'table' => 'failed_jobs'],
];
