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
