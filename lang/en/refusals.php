<?php

declare(strict_types=1);

// Why a gate is closed, behind “closed:” and “[outcome.reason]”; and what would open it, behind “to open it,”.
return [
    'cooldown' => [
        'reason' => 'the channel cooldown runs another :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'cooldown-of-person' => [
        'reason' => 'this person’s cooldown runs another :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'flood' => [
        'reason' => 'the channel has had as many answers as there may be in half a minute; the next in :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'flood-of-person' => [
        'reason' => 'this person has had as many answers as there may be in half a minute; the next in :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'level' => [
        'reason' => 'it is for :needs',
        'opens' => 'speak as one of them',
    ],
    'silenced' => [
        'reason' => 'the command is silenced',
        'opens' => 'let it speak again, on Publish',
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
