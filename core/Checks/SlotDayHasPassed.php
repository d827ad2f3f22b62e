<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\SinceUntil;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Value\Moment;

/** Time until a written day that is over. Silent where nobody says what day it is. */
final readonly class SlotDayHasPassed extends AbstractCheck
{
    public function code(): string
    {
        return 'slot-day-has-passed';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{day}” has passed, so there is no time until then.';
    }

    public function mend(): string
    {
        return 'Write a day to come, or an occasion, which goes on by itself.';
    }

    public function reason(): string
    {
        return 'It is nothing from then on.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $now = $at->around->now;
        if ($now === null) {
            return [];
        }
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                $day =
                    $one instanceof SinceUntil && ! $one->isSince && $one->moment instanceof Literal
                        ? $one->moment->value
                        : null;
                $moment = is_string($day) ? Moment::fromIso($day, $at->pack->channel->zone) : null;
                if ($moment !== null && $moment->millis < $now->millis) {
                    $findings[] = new Finding($this, $one->span(), $text->at, ['day' => $day]);
                }
            }
        }

        return $findings;
    }
}
