<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Message;
use SilverParrot\Source\Unseen;

/** What people type does not turn the direction of what follows it: the signs that would are dropped. */
final readonly class Directions implements Fitting
{
    public function fit(FittedText $draft, MessageLimits $room): void
    {
        $turned = false;
        foreach ($draft->pieces as $index => [$text, $origin]) {
            $without = $origin === Origin::People ? Unseen::withoutTurns($text) : $text;
            if ($without !== $text) {
                $draft->pieces[$index][0] = $without;
                $turned = true;
            }
        }
        if ($turned) {
            $draft->notes[] = new Message('fitted.directions');
        }
    }
}
