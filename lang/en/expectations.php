<?php

declare(strict_types=1);

// Why an expectation cannot be looked at, or what its line came to now.
return [
    'nobody' => ':by is no longer in the cast',
    'nothing-set-off' => 'the line triggers nothing any more',
    'says-otherwise' => 'it says something else',
    'says-nothing' => 'nothing is said',
    'says-something' => 'something is said',
    'contains-not' => '“:text” is not in what is said',
    'matches-not' => 'what is said is not like “:pattern”',
    'none-of' => 'what is said is none of the :count texts',
    'other-reason' => 'nothing is said, but not because of :because (now: :now)',
    'later' => 'it takes :seconds s, and at most :most s are expected',
    'elsewhere' => 'it is said elsewhere: place :place, voice :voice',
    'no-such-memory' => 'nothing in the pack is called :name',
    'memory-is' => ':name is :now, and :wanted is expected',
    'changed-by' => ':name changes by :now, and :wanted is expected',
    'asked' => 'the look-up :lookup is asked',
    'not-asked' => 'the look-up :lookup is not asked so',
    'too-many' => ':sayings sayings within :minutes min, and at most :most are expected',
    'share' => 'the parrot writes :percent % of the lines, and at most :most % are expected',
];
