<?php

declare(strict_types=1);

// What became of an answer on its way to the chat, beside its text.
return [
    'handed' => 'said at :time',
    'queued' => 'not said yet: it waits for its turn under the chat’s limits',
    'stale' => 'never said: its turn came too late',
    'dropped' => 'never said: the chat takes no more',
];
