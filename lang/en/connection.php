<?php

declare(strict_types=1);

return [
    'sign_in' => [
        'none' => 'not at all',
        'password' => 'with a password of the server (PASS)',
        'account' => 'with an account and its secret (SASL)',
    ],
];
