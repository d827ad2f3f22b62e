<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Hearing\Steps\RunCommand;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Timer;

/** What the form of a timer shows of it. */
final readonly class TimerForm
{
    /**
     * @param  string  $messages  one a line
     * @param  string  $run  the id of the command that it runs; empty for none
     * @param  bool  $isElsewhere  whether what it says has weights, conditions or steps that no field shows
     */
    private function __construct(public string $messages, public string $run, public bool $isElsewhere)
    {
    }

    public static function of(Timer $timer): self
    {
        $steps = $timer->responses[0]->steps ?? [];
        if (count($timer->responses) === 1 && count($steps) === 1 && $steps[0] instanceof RunCommand) {
            return new self('', $steps[0]->command, $steps[0]->words !== '');
        }
        $shown = array_filter(
            $timer->responses,
            static fn (CommandResponse $one): bool => $one->isPlain()
                && $one->weight === 1
                && $one->gates->given() === []
                && preg_match('/\R/u', $one->text()) !== 1,
        );

        return count($shown) === count($timer->responses)
            ? new self(
                implode("\n", array_map(static fn (CommandResponse $one): string => $one->text(), $timer->responses)),
                '',
                false,
            )
            : new self('', '', true);
    }
}
