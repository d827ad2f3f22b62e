<?php

declare(strict_types=1);

// Who earns what for what; see EarningSummary.
return [
    'always' => 'live or offline',
    'each-line' => 'for each line',
    'happening' => 'for each :kind',
    'here' => '{1} for being here, every minute|[0,*] for being here, every :count minutes',
    'line' => '{1} for lines, once every minute|[0,*] for lines, once every :count minutes',
    'live' => 'while live',
    'many' => ':Who earn :amount :unit :for, :while.',
    'one' => ':Who earns :amount :unit :for, :while.',
];
