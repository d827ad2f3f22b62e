<?php

declare(strict_types=1);

// The account of what the parrot did for a line, one entry each; see EntryKind.
return [
    'heard' => 'heard: “:line” from :by',
    'parrot-silenced' => 'no reply: replies were stopped',
    'talker' => 'silent: this is a talker’s own line, and what talkers say triggers nothing',
    'no-trigger' => 'silent: the line begins with no trigger',
    'mistyped' => 'silent: there is no command :typed',
    'mistyped-near' => 'silent: there is no command :typed: did you mean :nearest?',
    'triggered' => ':trigger was triggered',
    'triggered-as' => ':trigger was triggered by “:typed”',
    'went-on' => 'the pause is over, and :trigger goes on',
    'gate-open' => 'allowed: :gate',
    'gate-closed' => ':why; to get through, :opens',
    'drew' => 'response :number of :of was drawn',
    'slot' => ':slot said “:text”',
    'slot-empty' => ':slot said nothing',
    'slot-gap' => ':slot has no value: :why',
    'choice' => ':slot holds',
    'choice-not' => ':slot does not hold',
    'changed' => ':what (:scope): :from → :to',
    'nothing' => 'nothing',
    'failed' => 'failed, nothing was kept: :why',
    'fitted' => 'fitted: :note',
];
