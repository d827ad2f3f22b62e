<?php

declare(strict_types=1);

// What a counter counts, in a few words; see CounterSummary.
return [
    'from' => 'from :floor',
    'from-to' => 'from :floor to :ceiling',
    'guard' => 'the same counts once within :seconds s',
    'guard-of-another' => 'the same counts once within :seconds s where it is another person',
    'reset-day' => 'anew with each day',
    'reset-stream' => 'anew with each stream',
    'scope-category' => 'one for each category',
    'scope-channel' => 'one for the channel',
    'scope-viewer' => 'one for each viewer',
    'up-to' => 'up to :ceiling',
];
