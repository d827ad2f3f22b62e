<?php

declare(strict_types=1);

// Why a gate is closed, behind “no reply:” and “[outcome.reason]”; and what would open it, behind “to get through,”.
return [
    'at-most-channel-stream' => [
        'reason' => '{1} it was used in this stream already|[2,*] it was used :count times in this stream',
        'opens' => 'start a new stream',
    ],
    'at-most-person-day' => [
        'reason' => '{1} they used it today already|[2,*] they used it :count times today',
        'opens' => 'speak as somebody else, or move the clock forward :length',
    ],
    'at-most-person-stream' => [
        'reason' => '{1} they used it in this stream already|[2,*] they used it :count times in this stream',
        'opens' => 'speak as somebody else, or start a new stream',
    ],
    'category' => [
        'reason' => 'it is only for :categories, and the category is :category',
        'opens' => 'change the category to :first',
    ],
    'category-except' => [
        'reason' => 'it is not for :category',
        'opens' => 'change the category',
    ],
    'chance' => [
        'reason' => 'chance was against it: it is for :percent times in 100',
        'opens' => 'try again',
    ],
    'cooldown' => [
        'reason' => 'on cooldown: :seconds s left',
        'opens' => 'move the clock forward :seconds s',
    ],
    'cooldown-of-person' => [
        'reason' => 'on cooldown for this person: :seconds s left',
        'opens' => 'move the clock forward :seconds s',
    ],
    'cost' => [
        'reason' => 'it costs :needs :unit, and they have :has',
        'opens' => 'speak as somebody who can pay',
    ],
    'cooldown-of-phrase' => [
        'reason' => 'on cooldown for this phrase: :seconds s left',
        'opens' => 'move the clock forward :seconds s, or use the command',
    ],
    'dates-over' => [
        'reason' => 'it was only until :until',
        'opens' => 'set other dates',
    ],
    'dates-to-come' => [
        'reason' => 'it is only from :from on',
        'opens' => 'move the clock forward :length',
    ],
    'flood' => [
        'reason' => 'the limit of :most replies in 30 s is reached; next in :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'flood-of-person' => [
        'reason' => 'the limit of :most replies per person in 30 s is reached; next in :seconds s',
        'opens' => 'move the clock forward :seconds s',
    ],
    'held' => [
        'reason' => 'it is :needs',
        'opens' => 'speak as somebody who has that',
    ],
    'hours' => [
        'reason' => 'it is only for :needs',
        'opens' => 'move the clock forward :length',
    ],
    'level' => [
        'reason' => 'it is for :needs',
        'opens' => 'speak as one of them',
    ],
    'needs-here' => [
        'reason' => 'nobody is named',
        'opens' => 'name somebody after :trigger',
    ],
    'needs-here-of' => [
        'reason' => ':name is not here',
        'opens' => 'name somebody who is',
    ],
    'needs-known' => [
        'reason' => 'nobody is named',
        'opens' => 'name somebody after :trigger',
    ],
    'needs-known-of' => [
        'reason' => 'nobody called :name was seen in this chat',
        'opens' => 'name somebody who was',
    ],
    'needs-target' => [
        'reason' => 'nobody is named',
        'opens' => 'name somebody after :trigger',
    ],
    'needs-words' => [
        'reason' => 'nothing is typed after it',
        'opens' => 'type something after :trigger',
    ],
    'no-reply' => [
        'reason' => 'none of its replies is for them, or for this category',
        'opens' => 'speak as somebody for whom one is, or change the category',
    ],
    'number-account-days' => [
        'reason' => 'it is for accounts :count days old, and theirs is :has',
        'opens' => 'speak as somebody with an older account',
    ],
    'number-followed-days' => [
        'reason' => 'it is for those who have followed for :count days, and they have for :has',
        'opens' => 'speak as somebody who has followed longer',
    ],
    'number-subscribed-days' => [
        'reason' => 'it is for those who have subscribed for :count days, and they have for :has',
        'opens' => 'speak as somebody who has subscribed longer',
    ],
    'number-tier' => [
        'reason' => 'it is for tier :count and up, and theirs is :has',
        'opens' => 'speak as somebody with a higher tier',
    ],
    'silenced' => [
        'reason' => 'replies of this command are stopped',
        'opens' => 'resume them on Publish',
    ],
    'snoozed' => [
        'reason' => 'it is snoozed until the next stream',
        'opens' => 'start a new stream, or wake it',
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
    'typed-in-chat' => [
        'reason' => 'it is only for the chat, and not for whispers',
        'opens' => 'say it in the chat',
    ],
    'typed-in-whisper' => [
        'reason' => 'it is only for whispers',
        'opens' => 'whisper it to the parrot',
    ],
];
