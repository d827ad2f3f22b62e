<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Unseen;

/** What people type does not turn the direction of what follows it: the signs that would are dropped. */
final readonly class Directions implements Fitting
{
    public function fit(Draft $draft, Room $room): void
    {
        foreach ($draft->pieces as $index => [$text, $origin]) {
            $without = $origin === Origin::People ? Unseen::withoutTurns($text) : $text;
            if ($without !== $text) {
                $draft->pieces[$index][0] = $without;
                $draft->notes[] = 'signs that turn the direction of text came from a slot, so they were dropped';
            }
        }
        $draft->notes = array_values(array_unique($draft->notes));
    }
}
