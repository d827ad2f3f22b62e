<?php

declare(strict_types=1);

// What is not named here is Laravel's own default. No folder is served to anybody.
return [
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
    ],
];
