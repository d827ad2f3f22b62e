<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Response\RenderedResponse;

/** Makes of what a response says what the chat can take. */
final readonly class Fitter
{
    /** The note of what was longer than the chat takes. */
    public const CUT = 'fitted.cut';

    /** @return list<Fitting> in this order: instructions are looked for at the beginning of what will be sent */
    private static function fittings(): array
    {
        return [
            new Directions,
            new OneLine,
            new InstructionGuard,
            new Shorten,
        ];
    }

    public static function fit(RenderedResponse $said, MessageLimits $limits): FittedText
    {
        $fitted = new FittedText($said->pieces());
        foreach (self::fittings() as $fitting) {
            $fitting->fit($fitted, $limits);
        }

        return $fitted;
    }
}
