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
    public static function problem(string $text, Pack $pack, ResponseCache $prepared): string
    {
        $response = $prepared->response($text);
        $problem = ChangesNothing::problem($response, $pack);
        if ($problem !== '') {
            return "$problem.";
        }
        $led = OwnResponseTexts::ledTo($response->namedPlaces(), OwnResponseTexts::byPlace($pack), $prepared);
        foreach ($led as $place => $texts) {
            foreach ($texts as $one) {
                if (self::asksWhoCalls($prepared->response($one))) {
                    return "Nobody calls it, and $place says who did, or what was typed.";
                }
            }
        }

        return self::asksWhoCalls($response) ? 'Nobody calls it: it cannot say who did, or what was typed.' : '';
    }

    private static function asksWhoCalls(Response $response): bool
    {
        foreach (Part::expressions($response->parts) as $one) {
            if ($one->readsLine() || ($one instanceof Call && in_array($one->folded[0], self::OF_A_CALL, true))) {
                return true;
            }
        }

        return false;
    }
}
