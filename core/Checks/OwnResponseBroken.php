<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\ChangesNothing;
use SilverParrot\Response\OwnResponseTexts;
use SilverParrot\Response\Response;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A fact or a list item that is said as a response, and cannot be: it cannot be read, would change something, or leads
 * back to itself. Silent on those that are plain text, whatever stands in them.
 */
final readonly class OwnResponseBroken extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'own-response-broken';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '{name} cannot be said. {why}.';
    }

    public function mend(): string
    {
        return 'Change its text, or keep it as plain text.';
    }

    public function reason(): string
    {
        return 'Every response that uses it fails there.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $texts = OwnResponseTexts::byPlace($at->pack);
        foreach (OwnResponseTexts::of($at->pack) as $one) {
            $response = $at->prepared->response($one['text']);
            $why = self::why($response, $one['place'], $texts, $at);
            if ($why !== '') {
                $findings[] = new Finding($this, null, $one['at'], ['name' => $one['name'], 'why' => $why]);
            }
        }

        return $findings;
    }

    /** @param  array<string, list<string>>  $texts  by what they are named by */
    private static function why(Response $response, string $place, array $texts, CheckContext $at): string
    {
        $problem = ChangesNothing::problem($response, $at->pack);
        $led = OwnResponseTexts::ledTo($response->namedPlaces(), $texts, $at->prepared);

        return match (true) {
            $problem !== '' => $problem,
            isset($led[$place]) => 'It leads back to itself',
            default => '',
        };
    }
}
