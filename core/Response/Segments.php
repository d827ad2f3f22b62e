<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Response\Parsing\Lexer;
use SilverParrot\Source\Source;

/** A response cut into text and slots, to show them apart. */
final class Segments
{
    /** @return list<array{string, bool}> as written, and whether it is a slot */
    public static function of(string $text): array
    {
        $source = new Source($text);
        $text = $source->text;
        $lexer = new Lexer($source);
        $segments = [];
        $from = 0;
        $at = 0;
        while (($at = strpos($text, '[', $at)) !== false) {
            if (($text[$at + 1] ?? '') === '[') {
                $at += 2;

                continue;
            }
            if ($at > $from) {
                $segments[] = [substr($text, $from, $at - $from), false];
            }
            [, $end] = $lexer->slot($at + 1);
            $segments[] = [substr($text, $at, $end - $at), true];
            $from = $at = $end;
        }
        if ($from < strlen($text)) {
            $segments[] = [substr($text, $from), false];
        }

        return $segments;
    }
}
