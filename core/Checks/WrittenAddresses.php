<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\Addresses;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Segments;

/** The web addresses that stand in a pack as they are said: in responses, facts, and items of lists. */
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
                if (str_contains($source, '://')) {
                    $segments = array_map(
                        static fn (array $one): array => [$one[0], $one[1], 0],
                        Segments::of($prepared->response($source)->text),
                    );
                    yield from array_column(self::whole($segments), 0);
                }
            }
        }
        foreach ($pack->facts as $fact) {
            yield $fact->text;
        }
        foreach ($pack->lists as $list) {
            foreach ($list->items as $item) {
                yield $item->text;
            }
        }
    }
}
