<?php

declare(strict_types=1);

return [
    // Where the talker finds the chat, and the web service for details. As by default: the harbour.
    'chat' => env('AIR_CHAT', '127.0.0.1:'.env('HARBOUR_CHAT_PORT', '16680')),
    'details' => env('AIR_DETAILS', '127.0.0.1:'.env('HARBOUR_DETAILS_PORT', '16780')),
    'nick' => env('AIR_NICK', 'silver_parrot'),
];
