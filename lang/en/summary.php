<?php

declare(strict_types=1);

// The parts of the sentence that tells of a command; see CommandSummary.
return [
    'and' => ':first and :second',
    'anyone' => 'anyone',
    'changes' => 'changes :places',
    'comma' => ', ',
    'cooldown' => 'every :length',
    'cooldown-of-person' => 'each person :length',
    'levels' => ':levels',
    'no-cooldown' => 'as often as they like',
    'place-reply' => 'as a reply',
    'place-whisper' => 'as a whisper',
    'stream-live' => 'only while live',
    'stream-offline' => 'only while offline',
    'switched-off' => 'Switched off.',
    'unlisted' => 'not listed by [commands]',
    'voice-streamer' => 'in the streamer’s voice',
];
