<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\Origin;
use SilverParrot\Source\Message;
use SilverParrot\Source\Truncator;

/** Cut to the longest message of the chat profile. */
final readonly class Shorten implements Fitting
{
    public function fit(FittedText $fitted, MessageLimits $limits): void
    {
        $text = $fitted->text();
        if (Truncator::fits($text, $limits->characters(), $limits->bytes())) {
            return;
        }
        $cut = Truncator::toFit($text, $limits->characters(), $limits->bytes());
        $limit = $limits->characters() === null
            ? new Message('fitted.bytes', ['number' => $limits->bytes() ?? 0])
            : new Message('fitted.characters', ['number' => $limits->characters() ?? 0]);
        $fitted->notes[] = new Message($cut === '' ? 'fitted.nothing-fits' : Fitter::CUT, ['limit' => $limit]);
        // What is left begins as it did, so where its pieces came from no longer matters.
        $fitted->pieces = $cut === '' ? [] : [[$cut, Origin::Author]];
    }
}
