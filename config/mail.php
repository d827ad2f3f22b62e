<?php

declare(strict_types=1);

// What is not named here is Laravel's own default.
return [
    'mailers' => ['log' => ['transport' => 'log', 'channel' => env('MAIL_LOG_CHANNEL', 'mail')]],
];
