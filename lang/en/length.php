<?php

declare(strict_types=1);

// Lengths of time as one sets them.
return [
    'hours' => '{1} an hour|[2,*] :count hours',
    'minutes' => '{1} a minute|[2,*] :count minutes',
    'seconds' => ':count s',
];
