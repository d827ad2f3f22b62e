<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\Steps\Step;
use SilverParrot\Source\Limits;

/** One step of a response: an object with the step's key, and what goes with it. */
final class StepFormat
{
    /**
     * @return array<string, callable(Document): Step> what reads each kind, by the key that names it; a new one is one
     *     line here
     */
    private static function kinds(): array
    {
        return [
            'say' => static fn (Document $step): Step => new Say(
                $step
                    ->object(['say'])
                    ->at('say')
                    ->text(Limits::SOURCE),
            ),
        ];
    }

    public static function read(Document $step): Step
    {
        foreach (self::kinds() as $key => $read) {
            if ($step->has($key)) {
                return $read($step);
            }
        }
        $step->object(array_keys(self::kinds()), ['say']);

        return new Say('');
    }
}
