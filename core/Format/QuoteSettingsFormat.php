<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\QuoteSettings;

/** {"all_once": true, "dates": "d MMM y"} */
final class QuoteSettingsFormat
{
    public static function read(Document $quotes): QuoteSettings
    {
        $quotes->object(['all_once', 'dates']);

        return new QuoteSettings(
            $quotes->has('all_once') && $quotes->at('all_once')->flag(),
            $quotes->has('dates') ? $quotes->at('dates')->text(QuoteSettings::LONGEST_PATTERN) : '',
        );
    }

    /** @return array<string, mixed> */
    public static function write(QuoteSettings $quotes): array
    {
        return ($quotes->allOnce ? ['all_once' => true] : [])
            + ($quotes->dates === '' ? [] : ['dates' => $quotes->dates]);
    }
}
