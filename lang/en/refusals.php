<?php

declare(strict_types=1);

// Why a gate is closed, behind “no reply:” and “[outcome.reason]”; and what would open it, behind “to get through,”.
return [
    'cooldown' => [
        'reason' => 'on cooldown: :seconds s left',
        'opens' => 'move the clock forward :seconds s',
    ],
    'cooldown-of-person' => [
        'reason' => 'on cooldown for this person: :seconds s left',
        'opens' => 'move the clock forward :seconds s',
    ],
    'flood' => [
        'reason' => 'the limit of :most replies in 30 s is reached; next in :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'flood-of-person' => [
        'reason' => 'the limit of :most replies per person in 30 s is reached; next in :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'level' => [
        'reason' => 'it is for :needs',
        'opens' => 'speak as one of them',
    ],
    'silenced' => [
        'reason' => 'replies of this command are stopped',
        'opens' => 'resume them on Publish',
    ],
    'stream-live' => [
        'reason' => 'it is only for while the stream is live',
        'opens' => 'start the stream',
    ],
    'stream-offline' => [
        'reason' => 'it is only for while the stream is offline',
        'opens' => 'end the stream',
    ],
    'switched-off' => [
        'reason' => 'the command is switched off',
        'opens' => 'switch it on',
    ],
];
