<?php

declare(strict_types=1);

// How the items of a list are drawn; see DrawOrder.
return [
    'free' => 'freely, each time anew',
    'in_turn' => 'in turn',
    'no_repeat' => 'never the same twice running',
    'one_a_day' => 'one a day for each person',
    'shuffled' => 'shuffled: all once, then shuffled anew',
];
