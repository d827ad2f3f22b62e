<?php

declare(strict_types=1);

// How a source is when something goes wrong with it: "In rehearsals the source …".
return [
    'timeout' => 'answers too late',
    'refused' => 'refuses to answer',
    'error_page' => 'answers with a page that says sorry',
    'broken' => 'answers with half of it',
    'missing' => 'answers without the value',
    'too_large' => 'answers with far too much',
    'moved' => 'has moved elsewhere',
];
