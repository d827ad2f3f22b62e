<?php

declare(strict_types=1);

namespace SilverParrot\Outbox;

use SilverParrot\Chat\Addresses;
use SilverParrot\Pack\Emote;

/** A piece of something said as a chat shows it: words, a link, or an emote's picture. */
final readonly class MessageFragment
{
    private function __construct(public string $text, public bool $isLink = false, public ?Emote $emote = null)
    {
    }

    /**
     * @param  list<Emote>  $emotes  those that the parrot may not use are shown as their letters
     * @return list<self>
     */
    public static function of(string $text, array $emotes): array
    {
        $emotes = array_values(array_filter($emotes, static fn (Emote $emote): bool => $emote->isForTheParrot()));
        $pieces = [];
        $at = 0;
        foreach (Addresses::in($text) as [$from, $address]) {
            array_push($pieces, ...self::words(substr($text, $at, $from - $at), $emotes));
            $pieces[] = new self($address, true);
            $at = $from + strlen($address);
        }

        return [...$pieces, ...self::words(substr($text, $at), $emotes)];
    }

    /**
     * @param  list<Emote>  $emotes
     * @return list<self>
     */
    private static function words(string $text, array $emotes): array
    {
        $byWord = [];
        foreach ($emotes as $emote) {
            $byWord[$emote->word] = $emote;
        }
        $pieces = [];
        $plain = '';
        // Only what stands between spaces is an emote, written exactly so.
        foreach (explode(' ', $text) as $index => $word) {
            $plain .= $index === 0 ? '' : ' ';
            if (isset($byWord[$word])) {
                $pieces[] = new self($plain);
                $pieces[] = new self($word, false, $byWord[$word]);
                $plain = '';
            } else {
                $plain .= $word;
            }
        }
        $pieces[] = new self($plain);

        return array_values(array_filter($pieces, static fn (self $piece): bool => $piece->text !== ''));
    }
}
