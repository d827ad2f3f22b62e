<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Part;

/** Whether a response can be said where nobody calls it, again and again: it changes nothing and asks for nobody. */
final class WithoutCaller
{
    /** What there is only where somebody or something sets a response off. */
    private const OF_A_CALL = ['caller', 'target', 'trigger', 'message', 'outcome', 'happening'];

    /** @return string why it cannot, in a sentence; empty where it can */
    public static function problem(Response $response, Pack $pack): string
    {
        foreach ($response->findings($pack) as $finding) {
            if ($finding->isError()) {
                return $finding->sentence();
            }
        }
        $changed = $response->changedPlaces();
        if ($changed !== []) {
            return "It would change {$changed[0]} each time it is read.";
        }
        foreach (Part::expressions($response->parts) as $one) {
            if ($one->readsLine() || ($one instanceof Call && in_array($one->folded[0], self::OF_A_CALL, true))) {
                return 'Nobody calls it: it cannot say who did, or what was typed.';
            }
        }

        return '';
    }
}
