<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

/** Line breaks and control characters become spaces, runs of spaces one, and the ends are trimmed. */
final readonly class OneLine implements Fitting
{
    public function fit(FittedText $fitted, MessageLimits $limits): void
    {
        $pieces = [];
        $endsInSpace = true;
        foreach ($fitted->pieces as [$text, $origin]) {
            $text = preg_replace('/[\p{Cc}\x{2028}\x{2029} ]++/u', ' ', mb_scrub($text)) ?? '';
            if ($endsInSpace) {
                $text = ltrim($text, ' ');
            }
            if ($text !== '') {
                $pieces[] = [$text, $origin];
                $endsInSpace = str_ends_with($text, ' ');
            }
        }
        $last = array_key_last($pieces);
        if ($last !== null) {
            $pieces[$last][0] = rtrim($pieces[$last][0], ' ');
        }
        $fitted->pieces = $pieces;
    }
}
