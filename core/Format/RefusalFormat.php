<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Hearing\Gates\GateSettings;

/**
 * What is said where gates are closed: {"cooldown": "Give it [outcome.left]."}. A command may have false for one, and
 * says nothing then, whatever the channel has for it.
 */
final class RefusalFormat
{
    /**
     * @param  bool  $isOfCommand  whether false may stand for silence
     * @return array<string, string> by key, in the order of the table; empty for silence
     */
    public static function read(Document $refusals, bool $isOfCommand): array
    {
        $keys = array_keys(GateSettings::refusals());
        $refusals->object($keys);
        $texts = [];
        foreach ($keys as $key) {
            if (! $refusals->has($key)) {
                continue;
            }
            $reply = $refusals->at($key);
            if ($isOfCommand && $reply->isFalse()) {
                $texts[$key] = '';
            } elseif (($text = $reply->text()) !== '') {
                // An empty reply is none.
                $texts[$key] = $text;
            }
        }

        return $texts;
    }

    /**
     * @param  array<string, string>  $refusals
     * @return array<string, false|string>
     */
    public static function write(array $refusals): array
    {
        return array_map(static fn (string $text): false|string => $text === '' ? false : $text, $refusals);
    }
}
