<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;

/** What is said without a command of its own: it has to be readable, and must change nothing. */
final class ChangesNothing
{
    /** @return string why it cannot be said, without the full stop; empty where it can */
    public static function problem(Response $response, Pack $pack): string
    {
        foreach ($response->findings($pack) as $finding) {
            if ($finding->isError()) {
                return rtrim($finding->sentence(), '.');
            }
        }
        $changed = $response->changedPlaces();

        return $changed === [] ? '' : "It would change {$changed[0]}, and must change nothing";
    }
}
