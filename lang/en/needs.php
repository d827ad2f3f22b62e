<?php

declare(strict_types=1);

// What must be typed behind a trigger: “[outcome.needs]” of a reply.
return [
    'words' => 'something after it',
    'target' => 'a name after it',
    'known' => 'the name of somebody known here',
    'here' => 'the name of somebody who is here',
    'typed-in-chat' => 'the chat',
    'typed-in-whisper' => 'a whisper',
];
