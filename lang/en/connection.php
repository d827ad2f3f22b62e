<?php

declare(strict_types=1);

// How the parrot stands in a chat, and how it gets there.
return [
    'nothing-published' => 'Nothing is published yet, so the parrot is in no chat.',
    'no-talker' => 'The talker is not running. “bin/parrot up” starts it.',
    'behind' => '{1} It is falling behind: one saying waits for room under the chat’s limits.'
        .'|[2,*] It is falling behind: :count sayings wait for room under the chat’s limits.',
    'dropped' => '{1} One line came faster than the parrot can hear, and was skipped.'
        .'|[2,*] :number lines came faster than the parrot can hear, and were skipped.',
    'failed' => '{1} An error kept it from hearing or answering a line, last at :time; the log says more.'
        .'|[2,*] :number errors kept it from hearing or answering a line, last at :time; the log says more.',
    'time-unknown' => 'an unknown time',
    'known-by-name' => 'This chat has no accounts, so people are known by their names alone.',
    'state' => [
        'away' => 'Not in the chat: it tries again by itself.',
        'connected' => 'Connected to the chat, but not a moderator there: make its account one, or links and fast '
            .'answers are refused.',
        'moderator' => 'Connected to the chat, with the rights it needs.',
        'not-trusted' => 'The chat server’s certificate does not prove that it is the one you named, so nothing was '
            .'sent to it. Look at the address, or ask who runs the server.',
        'not-signed-in' => 'The chat server did not take the name and secret. Give them anew.',
        'name-taken' => 'Somebody else has the parrot’s name in that chat. Choose another name, or sign in with its '
            .'account.',
        'too-near' => 'That address lies on this machine or in its own network, where the parrot does not go.',
        'flooded' => 'The chat server sends more lines than the parrot can take, so it left. It tries again every '
            .'half minute.',
        'too-many' => 'The talker is connected to as many chat servers as it can take. Ask who runs it to start '
            .'another.',
    ],
    'sign_in' => [
        'none' => 'not at all',
        'account' => 'with an account and its secret (SASL)',
        'password' => 'with a password of the server (PASS)',
    ],
];
