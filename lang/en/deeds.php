<?php

declare(strict_types=1);

// What commands do besides saying something; see core/Hearing/Deeds. Each: as the form offers it, as the sentence about
// a command tells it, and what it must know.
return [
    // What is taken where a field is left empty that has no usual response.
    'usual' => [
        'by' => 'nobody named',
        'unit' => 'the first ones',
        'cooldown' => '10',
    ],
    'keep-quote' => [
        'label' => 'keep a quote',
        'does' => 'keeps quotes',
        'text' => 'the quote',
        'by' => 'said by',
        'category' => 'in the category',
    ],
    'change-quote' => [
        'label' => 'change a quote',
        'does' => 'changes quotes',
        'number' => 'its number',
        'text' => 'it then says',
    ],
    'delete-quote' => [
        'label' => 'delete a quote',
        'does' => 'deletes quotes',
        'number' => 'its number',
    ],
    'give-points' => [
        'label' => 'give points of theirs to somebody',
        'does' => 'gives points of the caller’s to somebody',
        'to' => 'to',
        'amount' => 'how many',
        'unit' => 'which points',
    ],
    'buy' => [
        'label' => 'buy goods',
        'does' => 'sells goods to the caller',
        'goods' => 'which',
        'count' => 'how many',
    ],
    'sell' => [
        'label' => 'sell goods back',
        'does' => 'buys goods back from the caller',
        'goods' => 'which',
        'count' => 'how many',
    ],
    'hand-on-goods' => [
        'label' => 'give goods of theirs to somebody',
        'does' => 'gives goods of the caller’s to somebody',
        'to' => 'to',
        'goods' => 'which',
        'count' => 'how many',
    ],
    'check-in' => [
        'label' => 'check in for today',
        'does' => 'checks people in once a day',
    ],
    'add-item' => [
        'label' => 'add an item to a list',
        'does' => 'adds items to lists',
        'list' => 'to which list',
        'text' => 'the item',
    ],
    'note' => ':what, changed from chat',
    'undone' => 'Taken back: :deed from chat',
    'on' => 'on',
    'off' => 'off',
    'add-command' => [
        'label' => 'add a command',
        'did' => 'added',
        'does' => 'adds commands',
        'name' => 'its trigger',
        'text' => 'it says',
        'cooldown' => 'seconds between uses',
    ],
    'change-command' => [
        'label' => 'change what a command says',
        'did' => 'changed what it says:',
        'does' => 'changes what commands say',
        'name' => 'which',
        'text' => 'it then says',
    ],
    'rename-command' => [
        'label' => 'rename a command',
        'did' => 'renamed',
        'does' => 'renames commands',
        'name' => 'which',
        'to' => 'its new trigger',
    ],
    'switch-command' => [
        'label' => 'switch a command on or off',
        'did' => 'switched',
        'does' => 'switches commands on and off',
        'name' => 'which',
        'on' => '“on” or “off”',
    ],
    'delete-command' => [
        'label' => 'delete a command',
        'did' => 'deleted',
        'does' => 'deletes commands',
        'name' => 'which',
    ],
    'set-level' => [
        'label' => 'set for whom a command is',
        'did' => 'set for whom it is:',
        'does' => 'sets for whom commands are',
        'name' => 'which',
        'level' => 'from which level on',
    ],
    'set-cooldown' => [
        'label' => 'set a command’s cooldown',
        'did' => 'set the cooldown of',
        'does' => 'sets the cooldown of commands',
        'name' => 'which',
        'seconds' => 'seconds',
    ],
    'add-alias' => [
        'label' => 'add an alias',
        'did' => 'added an alias to',
        'does' => 'adds aliases',
        'name' => 'of which command',
        'alias' => 'the alias',
    ],
    'show-command' => [
        'label' => 'show what a command says',
        'does' => 'shows what commands say',
        'name' => 'which',
    ],
    'switch-timer' => [
        'label' => 'switch a timer on or off',
        'did' => 'switched the timer',
        'does' => 'switches timers on and off',
        'name' => 'which',
        'on' => '“on” or “off”',
    ],
    'switch-phrases' => [
        'label' => 'switch a command’s phrases on or off',
        'did' => 'switched the phrases of',
        'does' => 'switches phrases on and off',
        'name' => 'of which command',
        'on' => '“on” or “off”',
    ],
    'set-title' => [
        'label' => 'set the title of the stream',
        'did' => 'set the title',
        'does' => 'sets the title of the stream',
        'text' => 'the title',
    ],
    'set-category' => [
        'label' => 'set the category of the stream',
        'did' => 'set the category',
        'does' => 'sets the category of the stream',
        'category' => 'the category',
    ],
    'set-tags' => [
        'label' => 'set the tags of the stream',
        'did' => 'set the tags',
        'does' => 'sets the tags of the stream',
        'tags' => 'the tags',
    ],
    'mark-moment' => [
        'label' => 'mark a moment of the recording',
        'did' => 'marked a moment',
        'does' => 'marks moments of the recording',
        'text' => 'what it is called',
    ],
];
