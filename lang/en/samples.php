<?php

declare(strict_types=1);

// What is offered to begin a list with; one item a line, a weight after a tab.
return [
    'answers' => "The tide says yes.\t2\nYes, once the glue is dry.\nThe gulls think so.\nAsk again at high water.\n"
        ."I would not sail on it.\nThe lantern went out: no.\t2\nNot before breakfast.\nOnly if you bring the biscuits.",
];
