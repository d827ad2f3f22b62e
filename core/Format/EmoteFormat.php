<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\LevelRule;

/** {"word": "coveWave", "picture": "data:image/png;base64,…", "levels": {"any_of": ["subscriber"]}} */
final class EmoteFormat
{
    public static function read(Document $emote): Emote
    {
        $emote->object(['id', 'word', 'picture', 'levels'], ['word']);
        $word = $emote->at('word')->text(40);
        if (! Emote::isWord($word)) {
            $emote->at('word')->flaw(DocumentError::NotAnEmote, ['value' => $word]);
        }
        $picture = $emote->has('picture') ? $emote->at('picture')->text(Emote::LONGEST_PICTURE) : '';
        if ($picture !== '' && ! Emote::isPicture($picture)) {
            $emote->at('picture')->flaw(DocumentError::NotAPicture, []);
            $picture = '';
        }

        return new Emote(
            $word,
            $picture,
            $emote->has('levels') ? LevelFormat::readRule($emote->at('levels')) : new LevelRule,
            $emote->has('id') ? $emote->at('id')->id() : '',
        );
    }

    /** @return array<string, mixed> */
    public static function write(Emote $emote): array
    {
        return ($emote->id === $emote->word ? [] : ['id' => $emote->id]) + ['word' => $emote->word]
            + array_filter(
                ['picture' => $emote->picture, 'levels' => LevelFormat::writeRule($emote->levels)],
                static fn (string|array $part): bool => $part !== '' && $part !== [],
            );
    }
}
