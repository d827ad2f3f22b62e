<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;

/** A word that the chat shows as a picture, written exactly so and set apart by spaces. */
final readonly class Emote
{
    /** Characters of a picture as it is kept: some 48 kB. */
    public const LONGEST_PICTURE = 65_536;

    public string $id;

    /**
     * @param  string  $picture  as a data: address of a PNG, GIF or WebP, or the address where a page gets it from;
     *     empty where there is none
     */
    public function __construct(
        public string $word,
        public string $picture = '',
        public LevelRule $levels = new LevelRule,
        string $id = '',
    ) {
        $this->id = $id === '' ? $word : $id;
    }

    /** The parrot is a moderator where it has the rights that it needs, and nothing else. */
    public function isForTheParrot(): bool
    {
        return $this->levels->admits(Levels::of(Level::Moderator));
    }

    /**
     * Whether it is a picture of a kind that shows pixels and does nothing else: its first bytes decide, not what it
     * says of itself.
     */
    public static function isPicture(string $address): bool
    {
        if (preg_match('#^data:image/(png|gif|webp);base64,([A-Za-z0-9+/]+={0,2})$#D', $address, $part) !== 1) {
            return false;
        }
        $bytes = (string) base64_decode($part[2], true);

        return match ($part[1]) {
            'png' => str_starts_with($bytes, "\x89PNG\r\n\x1A\n"),
            'gif' => str_starts_with($bytes, 'GIF87a') || str_starts_with($bytes, 'GIF89a'),
            default => str_starts_with($bytes, 'RIFF') && substr($bytes, 8, 4) === 'WEBP',
        };
    }

    /** Letters, digits and signs that chats allow in such a word (common practice); nothing that would end it. */
    public static function isWord(string $word): bool
    {
        return preg_match('/^[A-Za-z0-9_]{2,40}$/D', $word) === 1;
    }
}
