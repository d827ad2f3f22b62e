<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Pack\Phrase;
use SilverParrot\Source\Limits;

/**
 * A phrase as a text, or {"text": "…", "tolerant": true, "cooldown": 300, "must": ["…"], "must_not": ["…"],
 * "also": true, "enabled": false, "place": 1}.
 */
final class PhraseFormat
{
    public static function read(Document $phrase): Phrase
    {
        if ($phrase->isText()) {
            return new Phrase($phrase->text(Phrase::LONGEST));
        }
        $phrase->object(['text', 'tolerant', 'cooldown', 'must', 'must_not', 'also', 'enabled', 'place'], ['text']);
        $lines = static fn (string $key): array => $phrase->has($key)
            ? array_map(
                static fn (Document $line): string => $line->text(Limits::LINE),
                $phrase->at($key)->items(Phrase::LINES),
            )
            : [];

        return new Phrase(
            $phrase->at('text')->text(Phrase::LONGEST),
            $phrase->has('tolerant') && $phrase->at('tolerant')->flag(),
            $phrase->has('cooldown') ? $phrase->at('cooldown')->whole(0, Cooldown::LONGEST) : 0,
            $lines('must'),
            $lines('must_not'),
            $phrase->has('also') && $phrase->at('also')->flag(),
            ! $phrase->has('enabled') || $phrase->at('enabled')->flag(),
            $phrase->has('place') ? $phrase->at('place')->whole(1, Phrase::PLACES) : 0,
        );
    }

    /** @return string|array<string, mixed> */
    public static function write(Phrase $phrase): string|array
    {
        $more = array_filter([
            'tolerant' => $phrase->isTolerant,
            'cooldown' => $phrase->cooldown,
            'must' => $phrase->must,
            'must_not' => $phrase->mustNot,
            'also' => $phrase->isAlso,
            'place' => $phrase->place,
        ]) + ($phrase->isOn ? [] : ['enabled' => false]);

        return $more === [] ? $phrase->text : ['text' => $phrase->text] + $more;
    }

    /**
     * @param  mixed  $rows  of a form, each with its text and what is set of it
     * @return list<array<string, mixed>> as a document has them, without those that are empty
     */
    public static function typed(mixed $rows): array
    {
        $typed = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            $row = is_array($row) ? $row : [];
            $text = is_string($row['text'] ?? null) ? trim(preg_replace('/\R/u', ' ', $row['text']) ?? '') : '';
            // What is no number is kept as it was typed, and told.
            $number = static function (string $key) use ($row): int|string {
                $typed = is_string($row[$key] ?? null) ? trim($row[$key]) : '';

                return ctype_digit($typed) && strlen($typed) < 10 ? (int) $typed : $typed;
            };
            $lines = static fn (string $key): array => array_values(
                array_filter(
                    is_array($row[$key] ?? null) ? $row[$key] : [],
                    static fn (mixed $line): bool => is_string($line) && $line !== '',
                ),
            );
            if ($text !== '') {
                $typed[] = ['text' => $text] + array_filter([
                    'tolerant' => ($row['tolerant'] ?? '') === '1',
                    'cooldown' => $number('cooldown'),
                    'must' => $lines('must'),
                    'must_not' => $lines('must_not'),
                    'also' => ($row['also'] ?? '') === '1',
                    'place' => $number('place'),
                ]) + (($row['off'] ?? '') === '1' ? ['enabled' => false] : []);
            }
        }

        return $typed;
    }
}
