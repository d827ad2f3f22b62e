<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Message;
use SilverParrot\Source\Truncator;

/** Cut to the longest message of the chat profile. */
final readonly class Shorten implements Fitting
{
    public function fit(FittedText $draft, MessageLimits $room): void
    {
        $text = $draft->text();
        if (Truncator::fits($text, $room->characters(), $room->bytes())) {
            return;
        }
        $cut = Truncator::toRoom($text, $room->characters(), $room->bytes());
        $limit = $room->characters() === null
            ? new Message('fitted.bytes', ['number' => $room->bytes() ?? 0])
            : new Message('fitted.characters', ['number' => $room->characters() ?? 0]);
        $draft->notes[] = new Message($cut === '' ? 'fitted.nothing-fits' : 'fitted.cut', ['limit' => $limit]);
        // What is left begins as it did, so where its pieces came from no longer matters.
        $draft->pieces = $cut === '' ? [] : [[$cut, Origin::Author]];
    }
}
