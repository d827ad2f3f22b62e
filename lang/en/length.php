<?php

declare(strict_types=1);

// Lengths of time as one sets them.
return [
    'at-once' => 'as often as they like',
    'both' => ':first :second',
    'days' => '{1} a day|[2,*] :count days',
    'hours' => '{1} an hour|[2,*] :count hours',
    'minutes' => '{1} a minute|[2,*] :count minutes',
    'seconds' => ':count s',
    'once-hours' => '{1} once an hour|[2,*] once every :count hours',
    'once-minutes' => '{1} once a minute|[2,*] once every :count minutes',
    'once-seconds' => 'once every :count s',
];
