<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** Where nothing is said by others' texts: such a fact has no value. */
final readonly class NoOwnTexts implements OwnTexts
{
    public function say(string $text, string $place, EvaluationContext $run): Gap
    {
        return new Gap(GapReason::OwnResponseFails, ['name' => $place]);
    }
}
