<?php

declare(strict_types=1);

// Why there is no value, behind “has no value:”; see GapReason.
return [
    'pending' => 'it has not been fetched yet',
    'division-by-zero' => 'it would divide by zero',
    'no-number' => '“:text” is not a number',
    'nothing-to-count' => 'there is nothing to count with',
    'too-large' => 'the number would have more than :limit digits',
    'bad-roll' => 'a roll needs whole numbers from 1 on, and a range of at most :limit',
    'not-whole' => ':text is not a whole number',
    'look-up-down' => 'the look-up :name has no answer',
    'look-up-status' => 'the look-up :name was answered with status :status',
    'look-up-too-late' => 'the look-up :name was not answered in time',
    'look-up-another-format' => 'the look-up :name was answered with a web page instead of :format',
    'look-up-broken' => 'the look-up :name was answered with broken :format',
    'look-up-too-large' => 'the answer to the look-up :name is too large',
    'look-up-moved' => 'the look-up :name was sent on to another address',
    'look-up-not-allowed' => 'the streamer has not allowed the look-up :name yet',
    'look-up-over-budget' => 'the look-up :name was made as often as it may be for now',
    'look-up-left-alone' => 'the look-up :name has failed often and rests for a while',
    'look-up-path-too-slow' => 'a path of the look-up :name took too long',
    'look-up-missing' => 'the answer has no :name',
    'look-up-of-another-kind' => 'the answer’s :name is not what it should be',
    'look-up-parameter' => ':sentence',
    'look-up-parameter-odd' => '“:value” is not a :name that can be looked up',
    'look-up-parameter-missing' => 'there is no :name to look it up with',
    'details-down' => 'no :name is known for :of',
    'not-searched' => 'memory could not be searched for the :name',
    'empty-list' => 'the list :name is empty',
    'unknown-name' => 'nothing is named :name',
    'own-response-fails' => 'what :name says has no value either',
    'too-long-a-text' => 'the text would have more than :limit characters',
    'too-many-parts' => 'the list would have more than :limit parts',
    'too-far' => 'the moment would lie outside the years 1 to 9999',
    'wrong-kind' => ':text cannot be used here: expected :wanted',
];
