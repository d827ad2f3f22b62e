<?php

declare(strict_types=1);

return [
    // "open" or "invitation"; empty: open where the application is for this machine alone, by invitation elsewhere.
    'registration' => (string) env('REGISTRATION', ''),
];
