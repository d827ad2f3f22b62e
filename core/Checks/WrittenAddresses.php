<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\Addresses;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Segments;

/** The web addresses that stand in a pack as they are said: in all that is said, in facts, and in items of lists. */
final class WrittenAddresses
{
    /** Of one pack. */
    public const MOST = 500;

    /** @return list<string> each once */
    public static function in(Pack $pack, ResponseCache $prepared = new ResponseCache): array
    {
        $found = [];
        foreach (self::texts($pack, $prepared) as $text) {
            foreach (Addresses::in($text) as [, $address]) {
                $found[$address] = true;
                if (count($found) >= self::MOST) {
                    break 2;
                }
            }
        }

        return array_map(strval(...), array_keys($found));
    }

    /**
     * @param  list<array{string, bool, int}>  $segments  as written, whether it is a slot, and where it begins
     * @return list<array{string, int}> what stands between slots, without an address that a slot goes on with
     */
    public static function whole(array $segments): array
    {
        $whole = [];
        foreach ($segments as $place => [$text, $isSlot, $from]) {
            if (! $isSlot) {
                $whole[] = [isset($segments[$place + 1]) ? self::withoutLastAddress($text) : $text, $from];
            }
        }

        return $whole;
    }

    private static function withoutLastAddress(string $text): string
    {
        $words = preg_split('/(\s)/u', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$text];
        if (str_contains($words[count($words) - 1], '://')) {
            array_pop($words);
        }

        return implode('', $words);
    }

    /** @return iterable<string> */
    private static function texts(Pack $pack, ResponseCache $prepared): iterable
    {
        foreach ($pack->commands as $command) {
            foreach ($command->sources() as $source) {
                yield from array_column(self::between($source, $prepared), 0);
            }
        }
        foreach (self::besideCommands($pack, $prepared) as [, $text]) {
            yield $text;
        }
    }

    /**
     * What is said beside commands: by timers, of closed gates and of ranks, as facts and from lists.
     *
     * @return iterable<array{string, string, int}> where it is kept, what of it is no slot, and where that begins
     */
    public static function besideCommands(Pack $pack, ResponseCache $prepared): iterable
    {
        $responses = [];
        foreach ($pack->timers as $index => $timer) {
            foreach ($timer->command()->sources() as $place => $source) {
                $responses["/timers/$index/$place"] = $source;
            }
        }
        foreach ($pack->refusals as $key => $reply) {
            $responses["/refusals/$key"] = $reply;
        }
        foreach (array_values($pack->ladders) as $index => $ladder) {
            $responses["/ladders/$index/rises"] = $ladder->rises;
            $responses["/ladders/$index/falls"] = $ladder->falls;
        }
        $plain = [];
        foreach (array_values($pack->facts) as $index => $fact) {
            $fact->isResponse
                ? $responses["/facts/$index/text"] = $fact->text
                : $plain["/facts/$index/text"] = $fact->text;
        }
        foreach (array_values($pack->lists) as $index => $list) {
            foreach ($list->items as $place => $item) {
                $at = "/lists/$index/items/$place/text";
                $list->isResponses ? $responses[$at] = $item->text : $plain[$at] = $item->text;
            }
        }
        foreach ($plain as $at => $text) {
            yield [$at, $text, 0];
        }
        foreach ($responses as $at => $source) {
            foreach (self::between($source, $prepared) as [$text, $from]) {
                yield [$at, $text, $from];
            }
        }
    }

    /** @return list<array{string, int}> */
    private static function between(string $source, ResponseCache $prepared): array
    {
        if (! str_contains($source, '://')) {
            return [];
        }
        $segments = [];
        $from = 0;
        foreach (Segments::of($prepared->response($source)->text) as [$text, $isSlot]) {
            $segments[] = [$text, $isSlot, $from];
            $from += mb_strlen($text);
        }

        return self::whole($segments);
    }
}
