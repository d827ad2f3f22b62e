<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Top;
use SilverParrot\Source\Fold;

/** A response with another name for something that it uses. */
final class Renaming
{
    /**
     * @param  list<string>  $heads  what stands before the name: "counter"; "caller" and "target" for a field, which
     *     is ranked by as well
     * @return string the same text where it does not name that
     */
    public static function in(Response $response, array $heads, string $from, string $to): string
    {
        $characters = mb_str_split($response->text);
        $places = [];
        $folded = Fold::caseless($from);
        foreach ($response->calls as $call) {
            if (in_array($call->folded[0], $heads, true) && ($call->folded[1] ?? '') === $folded) {
                $at = $call->span()->from + mb_strlen($call->path[0]) + 1;
                $places[$at] = mb_strlen($call->path[1]);
            }
        }
        foreach (in_array('caller', $heads, true) ? Part::expressions($response->parts) : [] as $one) {
            if ($one instanceof Top && Fold::caseless($one->field) === $folded) {
                $length = mb_strlen($one->field);
                $places[$one->span()->to - $length] = $length;
            }
        }
        // From the end, so that the places of the others stay right; what is written otherwise is left alone.
        krsort($places);
        foreach ($places as $at => $length) {
            if (Fold::caseless(implode('', array_slice($characters, $at, $length))) === $folded) {
                array_splice($characters, $at, $length, [$to]);
            }
        }

        return implode('', $characters);
    }
}
