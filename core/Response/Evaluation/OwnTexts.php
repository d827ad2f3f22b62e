<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Value\Gap;

/** Says facts and list items whose author made responses of them. */
interface OwnTexts
{
    /** @param  string  $place  names it among all others, for its luck: "fact.workshop" */
    public function say(string $text, string $place, EvaluationContext $run): Said|Gap;
}
