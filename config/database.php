<?php

declare(strict_types=1);

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '3307'),
            'database' => env('DB_DATABASE', 'parrot'),
            'username' => env('DB_USERNAME', 'parrot'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            // What is compared without case is folded by the core first; no collation decides.
            // Without padding: "a" and "a " are two keys.
            'collation' => 'utf8mb4_nopad_bin',
            'prefix' => '',
            'strict' => true,
            'engine' => 'InnoDB',
            'isolation_level' => 'READ COMMITTED',
            'options' => [
                PDO::ATTR_TIMEOUT => 2,
                PDO::ATTR_EMULATE_PREPARES => false,
                // Whoever is frozen in the middle of a turn lets go of the channel's row after a while, so that another
                // can go on.
                PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION innodb_lock_wait_timeout = 2, idle_transaction_timeout = '
                    .'3, time_zone = "+00:00"',
            ],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
