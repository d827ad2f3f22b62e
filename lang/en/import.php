<?php

declare(strict_types=1);

// Why a row of a pasted table is not imported as it stands.
return [
    'no-unit' => 'The cooldown :cell has no unit. Choose one for its column.',
    'no-time' => '“:cell” is not a cooldown. Write it like 10 s or 2 min.',
    'no-level' => '“:cell” is not a level. Write everyone, follower, regular, subscriber, VIP, moderator, editor or '
        .'streamer.',
    'no-yes' => '“:cell” does not say whether it is switched on. Write yes or no.',
];
