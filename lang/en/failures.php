<?php

declare(strict_types=1);

// Why a response could not be said after all; see EvaluationFailure.
return [
    'gap' => ':Why.',
    'counted-already' => 'That was counted just now; the same counts again in :left s.',
    'may-not-change' => 'Only :who may change :name.',
    'negative-amount' => 'An amount must not be below zero, and this is :amount.',
    'nobody-named' => 'Nobody was named.',
    'not-a-moment' => '“:text” is not a moment; write it like “10 days ago”, “in 2 days” or “:example”.',
    'not-a-number-field' => ':name holds no number, so nothing can be added or taken.',
    'not-enough' => 'Not enough :unit: only :has.',
    'not-exact' => 'A number is kept with at most :decimals decimals, and this one has more: round it first.',
    'not-whole' => 'A whole number is needed, and this is :amount.',
    'only-their-own' => 'Everybody may change only their own :name.',
    'outside-limits' => ':name goes :limits, and this is :number.',
    'text-too-long' => 'A field keeps at most :limit characters.',
    'refused' => 'That was not done.',
    'too-much' => 'Nobody can have more than :most :unit.',
    'too-much-said' => 'The reply has more than :limit characters.',
    'too-much-work' => 'It takes more work than one reply may: leave some of its filters out.',
    'unknown-person' => '“:typed” was never seen in this chat, so nothing can be kept for them.',
    'unreadable' => 'This slot cannot be read as it is written.',
    'unreadable-because' => ':why',
];
