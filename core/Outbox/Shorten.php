<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Truncator;

/** Cut to the longest message of the chat profile. */
final readonly class Shorten implements Fitting
{
    public function fit(Draft $draft, Room $room): void
    {
        $text = $draft->text();
        if (Truncator::fits($text, $room->characters(), $room->bytes())) {
            return;
        }
        $cut = Truncator::toRoom($text, $room->characters(), $room->bytes());
        $limit = $room->characters() === null ? "{$room->bytes()} bytes" : "{$room->characters()} characters";
        $draft->notes[] =
            $cut === '' ? "not even its first word fits the chat’s $limit" : "it was cut to the chat’s $limit";
        // What is left begins as it did, so where its pieces came from no longer matters.
        $draft->pieces = $cut === '' ? [] : [[$cut, Origin::Author]];
    }
}
