<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

use SilverParrot\Source\Fold;
use SilverParrot\Source\Span;

/**
 * What each thing that a run may come to is called: the same for whoever looks what there is, and for whoever saw it.
 * Places in a text hang on its words, so that nothing said of a text is said of what it is changed into.
 */
final class Reach
{
    private const BETWEEN = "\x1F";

    /** @param  bool  $holds  of a condition; of all others there is only that it was taken */
    public static function place(string $command, string $text, Span $span, bool $holds = true): string
    {
        return implode(self::BETWEEN, [
            'place',
            $command,
            hash('xxh64', $text),
            "{$span->from}-{$span->to}",
            $holds ? 'yes' : 'no',
        ]);
    }

    public static function reply(string $command, string $response): string
    {
        return implode(self::BETWEEN, ['reply', $command, $response]);
    }

    public static function closed(string $command, string $gate): string
    {
        return implode(self::BETWEEN, ['closed', $command, $gate]);
    }

    /** A look-up without an answer. */
    public static function unanswered(string $command, string $lookup): string
    {
        return implode(self::BETWEEN, ['unanswered', $command, Fold::caseless($lookup)]);
    }

    /** @param  string  $list  its id */
    public static function item(string $list, string $item): string
    {
        return implode(self::BETWEEN, ['item', Fold::caseless($list), $item]);
    }
}
