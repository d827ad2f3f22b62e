<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\Ladder;
use SilverParrot\Source\Limits;

/** {"field": "pebbles", "ranks": [{"at": 100, "name": "Mate"}]} */
final class LadderFormat
{
    public static function read(Document $ladder): Ladder
    {
        $ladder->object(['id', 'field', 'ranks', 'by_ever_earned', 'off', 'rises', 'falls'], ['field', 'ranks']);
        $ranks = [];
        foreach ($ladder->at('ranks')->items(100) as $rank) {
            $rank->object(['at', 'name'], ['at', 'name']);
            $least = $rank->at('at')->whole(0, Limits::COUNTER);
            if (isset($ranks[$least])) {
                $rank->at('at')->flaw(DocumentError::RankTwice, ['value' => (string) $least]);
            }
            $ranks[$least] = $rank->at('name')->text(60);
        }

        return new Ladder(
            $ladder->at('field')->name(),
            $ranks,
            DefinitionName::id($ladder),
            $ladder->has('by_ever_earned') && $ladder->at('by_ever_earned')->flag(),
            ! $ladder->has('off') || ! $ladder->at('off')->flag(),
            $ladder->has('rises') ? $ladder->at('rises')->text() : '',
            $ladder->has('falls') ? $ladder->at('falls')->text() : '',
        );
    }

    /** @return array<string, mixed> */
    public static function write(Ladder $ladder): array
    {
        return ($ladder->id === $ladder->field ? [] : ['id' => $ladder->id])
            + [
                'field' => $ladder->field,
                'ranks' => array_map(
                    static fn (int $least, string $name): array => ['at' => $least, 'name' => $name],
                    array_keys($ladder->ranks),
                    $ladder->ranks,
                ),
            ]
            + ($ladder->byEverEarned ? ['by_ever_earned' => true] : [])
            + ($ladder->isOn ? [] : ['off' => true])
            + ($ladder->rises === '' ? [] : ['rises' => $ladder->rises])
            + ($ladder->falls === '' ? [] : ['falls' => $ladder->falls]);
    }
}
