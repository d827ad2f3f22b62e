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
     * A data: address of a PNG, GIF or WebP, told by its first bytes (PNG 5.2, GIF89a 17, RFC 9649 2.4) as base64
     * writes them; the pack's schema has the same.
     */
    public const PICTURE = '^data:image/(?:png;base64,iVBORw0KGg[opqr]|gif;base64,R0lGOD[dl]h'
        .'|webp;base64,UklGR[g-v][A-Za-z0-9+/]{4}[BFJNRVZdhlptx159]XRUJQ)[A-Za-z0-9+/]*={0,2}$';

    public static function isPicture(string $address): bool
    {
        return preg_match('#'.self::PICTURE.'#D', $address) === 1;
    }

    /** Letters, digits and signs that chats allow in such a word (common practice); nothing that would end it. */
    public static function isWord(string $word): bool
    {
        return preg_match('/^[A-Za-z0-9_]{2,40}$/D', $word) === 1;
    }
}
