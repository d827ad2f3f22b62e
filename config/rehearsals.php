<?php

declare(strict_types=1);

return [
    // How far back the workers of rehearsals stand when others want the processor (nice(1)): 0 to 19.
    'niceness' => (int) env('REHEARSAL_NICENESS', 19),

    // Where chat logs lie that were brought, in a folder for each channel.
    'logs' => storage_path('app/private/logs-of-chats'),
];
