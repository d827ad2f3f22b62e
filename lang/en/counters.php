<?php

declare(strict_types=1);

// What a counter counts, in a few words.
return [
    'scope-channel' => 'one for the channel',
    'scope-category' => 'one for each category',
    'scope-viewer' => 'one for each viewer',
    'reset-stream' => 'anew with each stream',
    'reset-day' => 'anew with each day',
    'from' => 'from :floor',
    'from-to' => 'from :floor to :ceiling',
    'up-to' => 'up to :ceiling',
];
