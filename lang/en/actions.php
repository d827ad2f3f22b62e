<?php

declare(strict_types=1);

// Why something that somebody does is refused; see core/Actions.
return [
    'negative' => 'An amount must not be below zero, and this is :amount.',
    'no-amount' => '“:text” is no amount: write a whole number, or “all”.',
    'no-count' => 'Write how many, from 1 to :most.',
    'nobody' => ':name was never seen in this chat.',
    'nobody-here' => 'Nobody is here: nobody wrote within ten minutes.',
    'not-bought-back' => 'The channel does not buy :name back.',
    'not-enough' => 'That takes :needs :unit, and there are :has.',
    'not-for-sale' => ':name is not for sale.',
    'not-owned' => 'They own :has of :name.',
    'nothing-to-give' => 'No :unit is nothing to give.',
    'sold-out' => 'Of :name :has are left.',
    'to-oneself' => 'Nobody gives :unit to themselves.',
    'too-little' => 'The least that can be given is :needs :unit.',
    'too-much' => ':name would have more :unit than anybody can.',
];
