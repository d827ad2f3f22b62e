<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Quote;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** What is remembered, as a document to rehearse with; docs/formats/memory.schema.json describes it. */
final class MemoryFormat
{
    public const FORMAT = 'silver-parrot-memory';

    public const KEYS = ['counters', 'occasions', 'people', 'channel', 'readings', 'quotes', 'items'];

    /** @return array{InitialState, list<Finding>} */
    public static function read(string $text, Pack $pack): array
    {
        $document = Document::parse($text);
        if (is_array($document)) {
            return [new InitialState, $document];
        }
        $document
            ->object(['format', 'version', ...self::KEYS])
            ->format(self::FORMAT, 'Silver Parrot memory');

        return [self::of($document, $pack), $document->findings()];
    }

    /** The same within another document. */
    public static function of(Document $document, Pack $pack): InitialState
    {
        $memory = [];
        foreach ($document->has('counters') ? $document->at('counters')->each() : [] as $name => $value) {
            $counter = $pack->counters[Fold::caseless((string) $name)] ?? null;
            $counter === null ? self::unknown($value, (string) $name) : $memory += self::counter($counter, $value);
        }
        foreach ($document->has('occasions') ? $document->at('occasions')->each() : [] as $name => $value) {
            isset($pack->occasions[Fold::caseless((string) $name)])
                ? ($memory[Key::occasion((string) $name)->id()] = $value->moment()->iso())
                : self::unknown($value, (string) $name);
        }
        foreach ($document->has('people') ? $document->at('people')->items(10_000) : [] as $person) {
            $memory += InitialState::recordOf(self::person($person), $pack);
        }
        if ($document->has('quotes')) {
            $memory += InitialState::quoteKeys(array_map(self::quote(...), $document->at('quotes')->items(10_000)));
        }

        foreach ($document->has('items') ? $document->at('items')->each() : [] as $name => $items) {
            $list = $pack->lists[Fold::caseless((string) $name)] ?? null;
            $list === null ? self::unknown($items, (string) $name) : $memory += self::items($list, $items);
        }

        return new InitialState(
            $memory,
            self::scalars($document, 'channel'),
            self::scalars($document, 'readings'),
        );
    }

    /** @return array<string, int> */
    private static function counter(Counter $counter, Document $value): array
    {
        $number = static fn (Document $one): int => $one->whole(-Limits::COUNTER, Limits::COUNTER);
        if ($counter->scope === CounterScope::Channel) {
            return InitialState::counterKeys($counter, ['' => $number($value)]);
        }
        $numbers = [];
        foreach ($value->each() as $owner => $one) {
            // A viewer's number is written under the login; the simulated people's ids are made from it.
            $numbers[
                $counter->scope === CounterScope::Viewer ? CastMember::idOf((string) $owner) : (string) $owner
            ] = $number($one);
        }

        return InitialState::counterKeys($counter, $numbers);
    }

    /** @return array<string, array<string, mixed>> what was added to a list in the chat */
    private static function items(TextList $list, Document $items): array
    {
        $texts = array_map(
            static fn (Document $one): string => $one->text(AddedItems::LONGEST),
            $items->items(AddedItems::MOST),
        );

        return $texts === [] ? [] : [Key::addedItems($list->id)->id() => ['items' => array_map(
            static fn (int $at, string $text): array => ['id' => "m$at", 'text' => $text],
            array_keys($texts),
            $texts,
        )]];
    }

    private static function quote(Document $quote): Quote
    {
        $quote->object(['number', 'text', 'by', 'category', 'date', 'link', 'kept_by'], ['number', 'text']);
        $text = static fn (string $key): string => $quote->has($key) ? $quote->at($key)->text(Limits::READING) : '';

        return new Quote(
            $quote->at('number')->whole(1, Limits::COUNTER),
            $text('text'),
            $text('by'),
            $text('category'),
            $quote->has('date') ? $quote->at('date')->moment() : null,
            $text('link'),
            $text('kept_by'),
        );
    }

    public static function person(Document $person): CastMember
    {
        $person->object(['login', 'name', 'levels', 'tier', 'record'], ['login']);
        $login = $person->at('login')->text(60);

        return new CastMember(
            $login,
            $person->has('name') ? $person->at('name')->text(60) : $login,
            $person->has('levels') ? LevelFormat::readAll($person->at('levels')) : [],
            $person->has('tier') ? $person->at('tier')->whole(0, 3) : 0,
            record: $person->has('record')
                ? array_map(self::written(...), $person->at('record')->entriesOfNames())
                : [],
        );
    }

    private static function written(Document $value): string
    {
        $scalar = $value->scalar();

        return match ($scalar) {
            true => 'yes',
            false => 'no',
            default => (string) $scalar,
        };
    }

    /** @return array<string, null|bool|int|string> */
    private static function scalars(Document $document, string $key): array
    {
        $scalars = [];
        foreach ($document->has($key) ? $document->at($key)->each() : [] as $name => $value) {
            // A key of digits would be a number in PHP, and no detail or reading is called so.
            is_string($name) ? $scalars[$name] = $value->scalar() : self::unknown($value, (string) $name);
        }

        return $scalars;
    }

    private static function unknown(Document $value, string $name): void
    {
        $value->flaw(DocumentError::UnknownKey, ['key' => $name]);
    }
}
