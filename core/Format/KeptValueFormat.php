<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Chat\Level;
use SilverParrot\Document\Document;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\RegularState;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Number;

/** What is kept under a key, as a line of a memory that moves house has it: exactly what would be kept here. */
final class KeptValueFormat
{
    /**
     * @param  Field|null  $field  of the key, where it is a field's
     * @return bool|int|string|array<string, mixed>
     */
    public static function read(Key $key, Document $value, ?Field $field): bool|int|string|array
    {
        return match ($key->kind) {
            Kind::Counter => $value->isObject() ? self::ofPeriod($value) : self::number($value, -Limits::COUNTER),
            Kind::Field => self::field($field, $value),
            Kind::Occasion => $value->moment()->iso(),
            Kind::Quote => self::quote((int) $key->name, $value),
            Kind::Seen => self::person($key->owner->of, $value),
            Kind::CheckIn => self::checkIn($value),
            Kind::Regular => self::regular($value),
            Kind::LongestRun => self::longestRun($value),
            Kind::AddedItems => self::addedItems($value),
            Kind::ListPosition => self::position($value),
            default => self::number($value),
        };
    }

    /** @return array{items: list<array{id: string, text: string}>} */
    private static function addedItems(Document $value): array
    {
        $value->object(['items'], ['items']);

        return ['items' => array_map(
            static function (Document $item): array {
                $item->object(['id', 'text'], ['id', 'text']);

                return ['id' => $item->at('id')->text(60), 'text' => $item->at('text')->text(AddedItems::LONGEST)];
            },
            $value->at('items')->items(AddedItems::MOST),
        )];
    }

    private static function number(Document $value, int $least = 0): int
    {
        return $value->whole($least, Limits::COUNTER);
    }

    /** @return array{n: int, of: string} a number and the stream or day that it counts for */
    private static function ofPeriod(Document $value): array
    {
        $value->object(['n', 'of'], ['n', 'of']);

        return ['n' => self::number($value->at('n'), -Limits::COUNTER), 'of' => $value->at('of')->text(60)];
    }

    private static function field(?Field $field, Document $value): bool|int|string
    {
        return match ($field?->type) {
            FieldType::Points => self::number($value),
            FieldType::Number => self::exact($value),
            FieldType::Moment => $value->moment()->iso(),
            FieldType::YesNo => $value->flag(),
            default => $value->text(Limits::FIELD_TEXT),
        };
    }

    /** A number with decimals is kept as a text. */
    private static function exact(Document $value): int|string
    {
        $number = $value->scalar();

        return is_string($number) && Number::kept($number) !== null ? $number : self::number($value, -Limits::COUNTER);
    }

    /** @return array<string, mixed> */
    private static function quote(int $number, Document $value): array
    {
        $value->object(['text', 'by', 'category', 'date', 'link', 'kept_by'], ['text']);
        $text = static fn (string $part): string => $value->has($part) ? $value->at($part)->text(Limits::READING) : '';

        return (new Quote(
            $number,
            $text('text'),
            $text('by'),
            $text('category'),
            $value->has('date') ? $value->at('date')->moment() : null,
            $text('link'),
            $text('kept_by'),
        ))->record();
    }

    /**
     * @return array<string, mixed> as Person::fromRecord reads it, with the names that they had and how long they were
     *     here
     */
    private static function person(string $id, Document $value): array
    {
        $counted = ['lines', 'days', 'minutes_here'];
        $known = ['id', 'login', 'name', 'levels', 'tier', 'first_seen', 'last_seen', 'names_before', ...$counted];
        $value->object($known, ['login']);
        $moment = static fn (string $part): array => $value->has($part)
            ? [$part => $value->at($part)->moment()->iso()]
            : [];

        return [
            'id' => $id,
            'login' => Fold::caseless($value->at('login')->text(190)),
            'name' => $value->has('name') ? $value->at('name')->text(190) : '',
            'levels' => array_map(
                static fn (Level $level): string => $level->word(),
                $value->has('levels') ? LevelFormat::readAll($value->at('levels')) : [],
            ),
            'tier' => $value->has('tier') ? $value->at('tier')->whole(0, 3) : 0,
            'names_before' => $value->has('names_before')
                ? array_map(static fn (Document $one): string => $one->text(190), $value->at('names_before')->items(50))
                : [],
        ]
            + $moment('first_seen')
            + $moment('last_seen')
            + array_map(
                static fn (string $one): int => self::number($value->at($one)),
                array_filter(array_combine($counted, $counted), $value->has(...)),
            );
    }

    /** @return array<string, string> as RegularState reads it */
    private static function regular(Document $value): array
    {
        $value->object(['since', 'why', 'until'], ['since', 'why']);
        $why = $value->at('why')->text(10);
        if (! in_array($why, RegularState::WHYS, true)) {
            $value->at('why')->notOneOf($why, RegularState::WHYS);
        }

        return ['since' => $value->at('since')->moment()->iso(), 'why' => $why]
            + ($value->has('until') ? ['until' => $value->at('until')->moment()->iso()] : []);
    }

    /** @return array<string, mixed> as CheckIn keeps it */
    private static function checkIn(Document $value): array
    {
        $value->object(['day', 'run', 'longest', 'days'], ['day', 'run']);
        $day = $value->at('day');
        $day->moment();
        $kept = ['day' => $day->text(10)];
        foreach (['run', 'longest', 'days'] as $part) {
            $kept += $value->has($part) ? [$part => self::number($value->at($part))] : [];
        }

        return $kept;
    }

    /** @return array<string, mixed> as LongestRun keeps it */
    private static function longestRun(Document $value): array
    {
        $value->object(['from', 'to', 'was'], ['from', 'to']);
        $times = static fn (Document $run): array => [
            'from' => $run->at('from')->moment()->iso(),
            'to' => $run->at('to')->moment()->iso(),
        ];

        return $times($value)
            + ($value->has('was') ? ['was' => $times($value->at('was')->object(['from', 'to'], ['from', 'to']))] : []);
    }

    /** @return array<string, int|string> how far a list or the quotes were drawn, as ListDraw and QuoteOrder keep it */
    private static function position(Document $value): array
    {
        $value->object(['last', 'place', 'round', 'at', 'day']);
        $kept = [];
        foreach (['last', 'place', 'round', 'at', 'day'] as $part) {
            if ($value->has($part)) {
                $one = $value->at($part);
                $kept[$part] = $one->isText() ? $one->text(60) : self::number($one);
            }
        }

        return $kept;
    }
}
