<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\OwnTexts;
use SilverParrot\Response\Evaluation\Said;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/**
 * Facts and list items that are responses themselves, read once like all others. They change nothing, and none leads
 * back to itself.
 */
final readonly class OwnResponses implements OwnTexts
{
    public function __construct(private ResponseCache $prepared)
    {
    }

    public function say(string $text, string $place, EvaluationContext $run): Said|Gap
    {
        $response = $this->prepared->response($text);
        if ($run->isInside($place) || $response->changedPlaces() !== []) {
            return new Gap(GapReason::OwnResponseFails, ['name' => $place]);
        }
        $inside = $run->inside($place);
        $said = $response->say($inside);
        $run->takeFrom($inside);

        return match (true) {
            $said === null => Gap::pending(),
            $said instanceof EvaluationFailure => new Gap(GapReason::OwnResponseFails, ['name' => $place]),
            default => new Said($said),
        };
    }
}
