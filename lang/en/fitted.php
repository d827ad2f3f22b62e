<?php

declare(strict_types=1);

// What was done to a saying before the chat saw it, behind “fitted:”.
return [
    'bytes' => ':number bytes',
    'characters' => ':number characters',
    'cut' => 'it was cut to the chat’s :limit',
    'directions' => 'signs that turn the direction of text came from a slot, so they were left out',
    'instruction' => '“:marks” at the beginning came from a slot and would be an instruction to the chat or to another '
        .'talker, so it was left out',
    'instruction-by-halves' => 'a slot would be part of an instruction to the chat, so nothing is said',
    'nothing-fits' => 'not even its first word fits the chat’s :limit',
    'nothing-left' => 'nothing is left to say, so the parrot stays silent',
];
