<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\OwnerKind;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/**
 * What a channel remembers, as it moves house: lines of JSON, the first of which says what it is, and each other one
 * thing that is remembered. docs/formats/kept-memory.schema.json describes a line. Cooldowns, floods and the stream
 * that runs stay where they are.
 */
final class KeptMemoryFormat
{
    public const FORMAT = 'silver-parrot-kept-memory';

    public const VERSION = 1;

    /** Bytes of a line. */
    public const LONGEST = 131_072;

    /** What moves, by the word of a line; viewers first, whose all else is. */
    public const KINDS = [
        'viewer' => Kind::Seen,
        'counter' => Kind::Counter,
        'field' => Kind::Field,
        'goods' => Kind::Goods,
        'ever_earned' => Kind::EverEarned,
        'check_in' => Kind::CheckIn,
        'regular' => Kind::Regular,
        'occasion' => Kind::Occasion,
        'longest_run' => Kind::LongestRun,
        'last_quote' => Kind::LastQuote,
        'quote' => Kind::Quote,
        'sold' => Kind::Sold,
        'added_items' => Kind::AddedItems,
        'list_position' => Kind::ListPosition,
        'drawn' => Kind::Drawn,
    ];

    /** @return string the first line */
    public static function head(string $channel): string
    {
        return self::json(['format' => self::FORMAT, 'version' => self::VERSION, 'channel' => $channel]);
    }

    /** @return list<Finding> what is wrong with a first line */
    public static function readHead(string $line): array
    {
        $document = Document::parse($line);
        if (is_array($document)) {
            return $document;
        }
        $document
            ->object(['format', 'version', 'channel'], ['format', 'version'])
            ->format(self::FORMAT, 'memory of Silver Parrot', [self::VERSION]);

        return $document->findings();
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $value  never null
     * @return string|null null for what does not move, and for what the pack has no name for any more
     */
    public static function line(Key $key, null|bool|int|string|array $value, Pack $pack): ?string
    {
        $kind = array_search($key->kind, self::KINDS, true);
        [$id, $item] = explode("\x1E", $key->name, 2) + [1 => ''];
        $name = $id === '' || $key->kind === Kind::Quote ? '' : self::nameOf($key->kind, $id, $pack);
        // Who is known to rehearsals alone has no service.
        $isNobody = $key->owner->kind === OwnerKind::Viewer && ! str_contains($key->owner->of, ':');
        if ($kind === false || $name === null || $isNobody) {
            return null;
        }

        return self::json(['kind' => $kind] + array_filter([
            'name' => $name,
            'item' => $item,
            'number' => $key->kind === Kind::Quote ? (int) $key->name : 0,
            'viewer' => $key->owner->kind === OwnerKind::Viewer ? $key->owner->of : '',
            'category' => $key->owner->kind === OwnerKind::Category ? $key->owner->of : '',
            'total' => $key->owner->kind === OwnerKind::Total,
        ]) + ['value' => $value === [] ? (object) [] : $value]);
    }

    /**
     * @return array{Key, null|bool|int|string|array<string, mixed>}|list<Finding> the thing and what is remembered, or
     *     all that is wrong with the line
     */
    public static function read(string $line, Pack $pack): array
    {
        $document = Document::parse($line);
        if (is_array($document)) {
            return $document;
        }
        $document->object(['kind', 'name', 'item', 'number', 'viewer', 'category', 'total', 'value'], [
            'kind',
            'value',
        ]);
        $word = $document->at('kind')->text(20);
        $kind = self::KINDS[$word] ?? null;
        if ($kind === null) {
            $document->at('kind')->notOneOf($word, array_keys(self::KINDS));

            return $document->findings();
        }
        $key = self::key($kind, $document, $pack);
        $value = $key === null ? null : KeptValueFormat::read($key, $document->at('value'), self::fieldOf($key, $pack));
        $findings = $document->findings();

        return $findings === [] && $key !== null ? [$key, $value] : $findings;
    }

    private static function key(Kind $kind, Document $line, Pack $pack): ?Key
    {
        $viewer = $line->has('viewer') ? $line->at('viewer')->text(250) : '';
        if ($viewer !== '' && preg_match('/^[a-z]{1,20}:[^\p{C}\p{Z}]{1,190}$/Du', $viewer) !== 1) {
            $line->at('viewer')->flaw(DocumentError::NotAnId, ['value' => $viewer]);
        }
        $category = $line->has('category') ? $line->at('category')->text(Limits::FIELD_TEXT) : '';
        $owner = match (true) {
            $viewer !== '' => Owner::viewer($viewer),
            $category !== '' => Owner::category($category),
            $line->has('total') && $line->at('total')->flag() => Owner::total(),
            default => Owner::channel(),
        };
        foreach (self::needs($kind) as $part) {
            if (! $line->has($part)) {
                $line->flaw(DocumentError::MissingKey, ['key' => $part]);
            }
        }
        $name = $line->has('name') ? $line->at('name')->text(60) : '';
        $id = $name === '' ? '' : self::idOf($kind, $name, $pack);
        if ($id === null) {
            $line->at('name')->flaw(DocumentError::NotInPack, ['value' => $name]);

            return null;
        }
        $counter = $kind === Kind::Counter ? self::definition($kind, Fold::caseless($id), $pack) : null;
        $isTotal = $owner->kind === OwnerKind::Total;
        if ($counter instanceof Counter && ! $isTotal && ! $counter->scope->hasOwner($owner)) {
            $line->flaw(DocumentError::NotInPack, ['value' => "{$counter->name} for that"]);
        }
        $item = $line->has('item') ? $line->at('item')->text(60) : '';

        return Key::of($kind->value, match ($kind) {
            Kind::Quote => $line->has('number') ? (string) $line->at('number')->whole(1, Limits::COUNTER) : '0',
            Kind::Drawn => Fold::caseless($id)."\x1E".$item,
            default => Fold::caseless($id),
        }, $owner->id);
    }

    /** @return list<string> what a line of this kind cannot be without */
    private static function needs(Kind $kind): array
    {
        return match ($kind) {
            Kind::Quote => ['number'],
            Kind::Seen, Kind::CheckIn, Kind::Regular => ['viewer'],
            Kind::Field, Kind::Goods, Kind::EverEarned => ['name', 'viewer'],
            Kind::Drawn => ['name', 'item'],
            // Without a name it is how far quotes were drawn.
            Kind::ListPosition, Kind::LastQuote => [],
            default => ['name'],
        };
    }

    private static function fieldOf(Key $key, Pack $pack): ?Field
    {
        $field = $key->kind === Kind::Field ? self::definition($key->kind, $key->name, $pack) : null;

        return $field instanceof Field ? $field : null;
    }

    /** @return string|null what something is called that is kept under an id */
    private static function nameOf(Kind $kind, string $id, Pack $pack): ?string
    {
        return self::definition($kind, $id, $pack)?->name;
    }

    private static function idOf(Kind $kind, string $name, Pack $pack): ?string
    {
        $named = self::definitions($kind, $pack)[Fold::caseless($name)] ?? null;

        return $named === null ? self::definition($kind, Fold::caseless($name), $pack)?->id : $named->id;
    }

    private static function definition(
        Kind $kind,
        string $id,
        Pack $pack,
    ): Counter|Field|Goods|Occasion|TextList|null {
        foreach (self::definitions($kind, $pack) as $one) {
            if (Fold::caseless($one->id) === $id) {
                return $one;
            }
        }

        return null;
    }

    /** @return array<string, Counter|Field|Goods|Occasion|TextList> by folded name */
    private static function definitions(Kind $kind, Pack $pack): array
    {
        return match ($kind) {
            Kind::Counter => $pack->counters,
            Kind::Field, Kind::EverEarned => $pack->fields,
            Kind::Goods, Kind::Sold => $pack->goods,
            Kind::Occasion, Kind::LongestRun => $pack->occasions,
            Kind::ListPosition, Kind::Drawn, Kind::AddedItems => $pack->lists,
            default => [],
        };
    }

    /** @param  array<string, mixed>  $line */
    private static function json(array $line): string
    {
        return json_encode($line, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
