<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

/** A plain text as its lines; of “name: value” the value can be chosen by the name. */
final class TextOutline
{
    public static function of(string $body): OutlineNode
    {
        $text = (string) preg_replace('/^\x{FEFF}/u', '', mb_scrub($body));
        $lines = [];
        $names = [];
        foreach (array_slice(preg_split('/\R/u', rtrim($text)) ?: [], 0, Outlines::MOST) as $place => $line) {
            $number = $place + 1;
            if (trim($line) === '') {
                continue;
            }
            $inside = [];
            if (preg_match('/^(\w[\w -]{0,40}[:=]\s?)(\S.*)$/u', $line, $part) === 1 && ! isset($names[$part[1]])) {
                $names[$part[1]] = true;
                $isFirst = strpos($text, $part[1]) === strpos($text, $line);
                $path = 'between "'.strtr($part[1], ['\\' => '\\\\', '"' => '\\"']).'" and "\n"';
                $inside = $isFirst ? [new OutlineNode(trim($part[1], ' :='), trim($part[2]), 'text', $path)] : [];
            }
            $shown = mb_substr(trim($line), 0, Outlines::SHOWN);
            $lines[] = new OutlineNode((string) $number, $shown, 'text', "line $number", $inside);
        }

        return new OutlineNode('', null, '', 'whole', $lines);
    }
}
