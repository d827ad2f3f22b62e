<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Flood;

/** {"person": 5, "channel": 20}: commands within the window, by one person and by all */
final class FloodFormat
{
    public static function read(Document $flood): Flood
    {
        $flood->object(['person', 'channel']);
        $usual = new Flood;

        return new Flood(
            $flood->has('person') ? $flood->at('person')->whole(0, Flood::MOST) : $usual->person,
            $flood->has('channel') ? $flood->at('channel')->whole(0, Flood::MOST) : $usual->channel,
        );
    }

    /** @return array<string, mixed> */
    public static function write(Flood $flood): array
    {
        return $flood == new Flood ? [] : ['person' => $flood->person, 'channel' => $flood->channel];
    }
}
