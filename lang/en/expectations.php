<?php

declare(strict_types=1);

// Why an expectation cannot be looked at, or what its line came to now.
return [
    'nobody' => ':by is no longer in the cast',
    'nothing-set-off' => 'the line triggers nothing any more',
];
