<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Languages;
use SilverParrot\Chat\Zones;
use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;

/** {"login": "lantern_cove", "name": "Lantern Cove", "language": "en", "zone": "Europe/Lisbon"} */
final class ChannelFormat
{
    public static function read(Document $channel): Channel
    {
        $channel->object(['login', 'name', 'language', 'zone'], ['login', 'name']);
        $zone = $channel->has('zone') ? $channel->at('zone')->text(60) : 'UTC';
        if (! Zones::isKnown($zone)) {
            $channel->at('zone')->flaw(DocumentError::NotAZone, ['value' => $zone]);
            $zone = 'UTC';
        }
        $language = $channel->has('language') ? $channel->at('language')->text(20) : 'en';
        if (! Languages::isKnown($language)) {
            $channel->at('language')->flaw(DocumentError::NotALanguage, ['value' => $language]);
            $language = 'en';
        }

        return Channel::of($channel->at('login')->text(60), $channel->at('name')->text(100), $language, $zone);
    }

    /** @return array<string, string> */
    public static function write(Channel $channel): array
    {
        return [
            'login' => $channel->login,
            'name' => $channel->name,
            'language' => $channel->language,
            'zone' => $channel->zone->getName(),
        ];
    }
}
