<?php

declare(strict_types=1);

return [
    // Where the talker finds the chat, and the web service for details. As by default: the harbour.
    'chat' => env('AIR_CHAT', '127.0.0.1:'.env('HARBOUR_CHAT_PORT', '16680')),
    'details' => env('AIR_DETAILS', '127.0.0.1:'.env('HARBOUR_DETAILS_PORT', '16780')),
    'nick' => env('AIR_NICK', 'silver_parrot'),
    // A file of certificates to trust besides the system's, and whether chat servers may lie in the own network.
    'authorities' => (string) env('AIR_AUTHORITIES', ''),
    'near' => (bool) env('AIR_NEAR', false),
    // Streams of events for pages: the port that the talker listens on, and their address as browsers see it where a
    // proxy stands before it, like https://parrot.example/events.
    'stream_port' => (int) env('AIR_STREAM_PORT', 16880),
    'stream_url' => (string) env('AIR_STREAM_URL', ''),
    // Proxies before that port, by address, with commas between: who they speak for is believed.
    'stream_proxies' => (string) env('AIR_STREAM_PROXIES', ''),
    // What the talker may use of memory; at four fifths it ends in order, and another begins.
    'memory' => (string) env('AIR_MEMORY', '384M'),
    // The simulated streaming service lets whoever knows this write in it.
    'harbour' => '127.0.0.1:'.env('HARBOUR_DETAILS_PORT', '16780'),
    'harbour_key' => (string) env('HARBOUR_KEY', ''),
    // What the parrot shows to the service to set title, category, tags and marks. The harbour’s own is for the harbour
    // alone, and for no service that stands in its place.
    'service_key' => (string) env(
        'AIR_SERVICE_KEY',
        env('AIR_DETAILS') === null ? (string) env('HARBOUR_PARROT_KEY', '') : '',
    ),
];
