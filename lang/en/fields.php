<?php

declare(strict_types=1);

// What a field holds, in a few words; see FieldSummary.
return [
    'limits' => ':limits',
    'longest' => 'at most :longest characters',
    'start' => 'begins with :start',
    'type-moment' => 'a moment',
    'type-number' => 'a number',
    'type-points' => 'points',
    'type-text' => 'a text',
    'type-yes_no' => 'yes or no',
];
