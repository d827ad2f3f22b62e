<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Message;
use SilverParrot\Source\Unseen;

/** What people type does not turn the direction of what follows it: the signs that would are dropped. */
final readonly class Directions implements Fitting
{
    public function fit(FittedText $fitted, MessageLimits $limits): void
    {
        $turned = false;
        foreach ($fitted->pieces as $index => [$text, $origin]) {
            $without = $origin === Origin::People ? Unseen::withoutTurns($text) : $text;
            if ($without !== $text) {
                $fitted->pieces[$index][0] = $without;
                $turned = true;
            }
        }
        if ($turned) {
            $fitted->notes[] = new Message('fitted.directions');
        }
    }
}
