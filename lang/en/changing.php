<?php

declare(strict_types=1);

// Who may change a counter or a field; see ChangeRuleSummary.
return [
    'levels' => 'changed by :who alone',
    'not-by-hand' => 'never by hand',
    'own-only' => 'each viewer changes their own',
];
