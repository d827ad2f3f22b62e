<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Coverage\Reached;
use SilverParrot\Source\Message;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Source\Wording;

/** Looks whether what was called right is still said, each line in its own circumstances. */
final class Expected
{
    /** @param  Reached|null  $reached  told of what is come to */
    public static function check(
        Pack $pack,
        Expectation $expectation,
        ChatProfile $profile,
        Wording $wording = new MessageKeys,
        ?Reached $reached = null,
    ): ExpectationResult {
        // What the line found then comes first; what it did not look at then is as the cast has it.
        $rehearsal = new Rehearsal(
            $pack,
            (new InitialState($expectation->given, $expectation->channel))->withDetailsOf($pack),
            $expectation->seed,
            $profile,
            traced: $reached !== null,
            wording: $wording,
        );
        // Whoever is not in the cast was somebody of the real chat, and is known by what was kept of them.
        $person =
            $rehearsal->person($expectation->by)
            ?? Person::fromRecord($expectation->given[Key::person($expectation->by)->id()] ?? null);
        if ($person === null) {
            return new ExpectationResult(
                $expectation,
                $expectation->by,
                [],
                new Message('expectations.nobody', ['by' => $expectation->by]),
            );
        }
        $outcome = $rehearsal->line($expectation->eventKey, $person, $expectation->line, $expectation->at);
        $reached?->take($outcome);

        return new ExpectationResult(
            $expectation,
            $person->name,
            $outcome->texts(),
            $outcome->closed->reason
                ?? ($outcome->failed?->message()
                    ?? ($outcome->command === null ? new Message('expectations.nothing-set-off') : null)),
        );
    }
}
