<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Expectation;
use SilverParrot\Source\Limits;

/** One "this is right", with what memory held at that moment as [kind, name, owner, value]. */
final class ExpectationFormat
{
    public static function read(Document $expectation): Expectation
    {
        $expectation->object(
            ['line', 'by', 'says', 'at', 'seed', 'event', 'given', 'channel'],
            ['line', 'by', 'says', 'at'],
        );

        return new Expectation(
            $expectation->at('line')->text(Limits::LINE),
            $expectation->at('by')->text(60),
            array_map(
                static fn (Document $text): string => $text->text(Limits::SAID),
                $expectation->at('says')->items(20),
            ),
            $expectation->at('at')->moment(),
            $expectation->has('seed') ? $expectation->at('seed')->text(100) : '1',
            $expectation->has('event') ? $expectation->at('event')->text(100) : 'expected',
            $expectation->has('given') ? self::given($expectation->at('given')) : [],
            $expectation->has('channel')
                ? array_map(
                    static fn (Document $value): null|bool|int|string => $value->scalar(),
                    array_filter($expectation->at('channel')->each(), is_string(...), ARRAY_FILTER_USE_KEY),
                )
                : [],
        );
    }

    /** @return array<string, mixed> */
    public static function write(Expectation $expectation): array
    {
        $given = self::writeGiven($expectation->given);

        return [
            'line' => $expectation->line,
            'by' => $expectation->by,
            'says' => $expectation->says,
            'at' => $expectation->at->iso(),
            'seed' => $expectation->seed,
            'event' => $expectation->eventKey,
        ]
            + ($given === [] ? [] : ['given' => $given])
            + ($expectation->channel === [] ? [] : ['channel' => $expectation->channel]);
    }

    /**
     * What memory held, as [kind, name, owner] and value.
     *
     * @return array<string, null|bool|int|string|array<string, mixed>> by key id
     */
    public static function given(Document $list, int $most = 200): array
    {
        $given = [];
        foreach ($list->items($most) as $item) {
            $item->object(['key', 'value'], ['key', 'value']);
            $id = implode(
                "\x1F",
                array_map(static fn (Document $part): string => $part->text(200), $item->at('key')->items(3)),
            );
            if (Key::fromId($id) === null) {
                $item
                    ->at('key')
                    ->flaw(DocumentError::WrongKind, [
                        'wanted' => 'a kind, a name and an owner',
                        'found' => 'something else',
                    ]);

                continue;
            }
            $given[$id] = self::readValue($item->at('value'));
        }

        return $given;
    }

    /**
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $given  by key id
     * @return list<array{key: list<string>, value: null|bool|int|string|array<string, mixed>}>
     */
    public static function writeGiven(array $given): array
    {
        $written = [];
        foreach ($given as $id => $value) {
            $written[] = ['key' => explode("\x1F", $id), 'value' => $value];
        }

        return $written;
    }

    /** @return array<array-key, null|bool|int|string> a list, or numbers by their keys, as lines by minute are */
    private static function readPart(Document $part): array
    {
        return array_map(
            static fn (Document $one): null|bool|int|string => $one->scalar(),
            $part->isList() ? $part->items(10_000) : $part->each(),
        );
    }

    /** @return null|bool|int|string|array<string, mixed> */
    private static function readValue(Document $value): null|bool|int|string|array
    {
        if (! $value->isStructured()) {
            return $value->scalar();
        }
        $read = [];
        foreach ($value->each() as $key => $part) {
            $read[(string) $key] = $part->isStructured() ? self::readPart($part) : $part->scalar();
        }

        return $read;
    }
}
