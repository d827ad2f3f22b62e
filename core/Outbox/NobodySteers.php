<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

/**
 * No saying begins with an instruction to the chat that came out of a slot: leading marks are dropped, and what cannot be
 * seen before them. What the author wrote at the beginning stays.
 */
final readonly class NobodySteers implements Fitting
{
    private const UNSEEN = '/^[\p{Z}\p{Cc}\p{Cf}\p{Mn}\x{115F}\x{1160}\x{3164}\x{FFA0}\x{2800}]$/Du';

    public function fit(Draft $draft, Room $room): void
    {
        $dropped = '';
        foreach ($draft->pieces as $index => [$text, $fromSlot]) {
            $characters = mb_str_split($text);
            $seen = 0;
            $lastMark = -1;
            foreach ($characters as $at => $character) {
                if (preg_match(self::UNSEEN, $character) === 1) {
                    continue;
                }
                if (! $fromSlot || ! in_array($character, $room->profile->instructionMarks, true)) {
                    $seen++;
                    break;
                }
                $lastMark = $at;
            }
            if ($lastMark >= 0) {
                $dropped .= implode('', array_intersect(array_slice($characters, 0, $lastMark + 1), $room->profile->instructionMarks));
                $draft->pieces[$index][0] = ltrim(implode('', array_slice($characters, $lastMark + 1)));
            }
            if ($seen > 0) {
                break;
            }
        }
        if ($dropped !== '') {
            $draft->notes[] = "“{$dropped}” at the beginning came from a slot and would be an instruction to the chat, so it was dropped";
            // Text that followed a dropped mark may begin with a space now.
            (new OneLine)->fit($draft, $room);
        }
    }
}
