<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\FromChat;

/** {"look_ups": true, "memory": true, "waits": true}; what is left out is no. */
final class FromChatFormat
{
    public static function read(Document $rules): FromChat
    {
        $rules->object(['look_ups', 'memory', 'waits']);
        $is = static fn (string $key): bool => $rules->has($key) && $rules->at($key)->flag();

        return new FromChat($is('look_ups'), $is('memory'), $is('waits'));
    }

    /** @return array<string, true> */
    public static function write(FromChat $rules): array
    {
        return ($rules->mayLookUp ? ['look_ups' => true] : [])
            + ($rules->mayChangeMemory ? ['memory' => true] : [])
            + ($rules->waits ? ['waits' => true] : []);
    }
}
