<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Outbox\MessageLimits;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A text whose shortest form is longer than the chat takes. Silent where it only can be. */
final readonly class AlwaysTooLong extends AbstractCheck
{
    public function code(): string
    {
        return 'always-too-long';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return 'This is {shortest} characters long at least, and the chat takes {limit}.';
    }

    public function mend(): string
    {
        return 'Shorten it, or make two commands of it.';
    }

    public function reason(): string
    {
        return 'Nobody ever reads its end.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $limit =
            (new MessageLimits($at->around->profile, $at->pack->channel->login, $at->pack->parrot))->characters()
            ?? PHP_INT_MAX;
        foreach ($at->said() as $text) {
            $shortest = $text->estimate->extent->shortest;
            if ($shortest > $limit) {
                $findings[] = new Finding($this, null, $text->at, [
                    'shortest' => (string) $shortest,
                    'limit' => (string) $limit,
                ]);
            }
        }

        return $findings;
    }
}
