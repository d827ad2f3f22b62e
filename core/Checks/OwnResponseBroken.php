<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\OwnResponseTexts;
use SilverParrot\Response\Response;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A fact or a list item that is said as a response, and cannot be: it cannot be read, would change something, or leads
 * back to itself. Silent on those that are plain text, whatever stands in them.
 */
final readonly class OwnResponseBroken extends AbstractCheck implements AcrossCommands
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
        return '{name} cannot be said: {why}.';
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
        $texts = OwnResponseTexts::of($at->pack);
        foreach ($texts as $one) {
            $response = $at->prepared->response($one['text']);
            $why = self::why($response, $one['place'], $texts, $at);
            if ($why !== '') {
                $findings[] = new Finding($this, null, $one['at'], ['name' => $one['name'], 'why' => $why]);
            }
        }

        return $findings;
    }

    /** @param  list<array{place: string, name: string, text: string, at: string}>  $texts */
    private static function why(Response $response, string $place, array $texts, CheckContext $at): string
    {
        $errors = array_filter($response->findings($at->pack), static fn (Finding $one): bool => $one->isError());

        return match (true) {
            $errors !== [] => rtrim(array_values($errors)[0]->sentence(), '.'),
            $response->changedPlaces() !== [] => "it would change {$response->changedPlaces()[0]}",
            self::leadsBack($place, $texts, $at) => 'it leads back to itself',
            default => '',
        };
    }

    /** @param  list<array{place: string, name: string, text: string, at: string}>  $texts */
    private static function leadsBack(string $place, array $texts, CheckContext $at): bool
    {
        $open = [$place];
        $seen = [];
        while ($open !== []) {
            $next = array_pop($open);
            foreach ($texts as $one) {
                $isIt = $one['place'] === $next;
                foreach ($isIt ? $at->prepared->response($one['text'])->namedPlaces() : [] as $named) {
                    if ($named === $place) {
                        return true;
                    }
                    if (! isset($seen[$named])) {
                        $seen[$named] = true;
                        $open[] = $named;
                    }
                }
            }
        }

        return false;
    }
}
