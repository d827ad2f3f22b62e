<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Chat\Zones;
use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Lookup\Address\AddressTemplate;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Lookup\Header;
use SilverParrot\Lookup\Keep;
use SilverParrot\Lookup\Kinds\NumberKind;
use SilverParrot\Lookup\Kinds\ReadingKinds;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadPath;
use SilverParrot\Lookup\Paths\Paths;
use SilverParrot\Lookup\Reading;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** {"name": "tide", "address": "https://…/{port}", "parameters": […], "readings": [{"name": "high", "path": "…"}]} */
final class LookupFormat
{
    public static function read(Document $lookup): Lookup
    {
        $lookup->object(
            ['id', 'name', 'address', 'format', 'parameters', 'headers', 'readings', 'keep'],
            ['name', 'address'],
        );
        $address = $lookup->at('address')->text(WebAddress::LONGEST);
        $flaw = (new AddressTemplate($address))->flaw();
        if ($lookup->has('address') && $flaw !== null) {
            $lookup->at('address')->flaw(DocumentError::NotAWebAddress, ['why' => $flaw->sentence()]);
        }
        $format = $lookup->has('format') ? $lookup->at('format')->oneOf(AnswerFormat::class) : AnswerFormat::Json;
        $read = new Lookup(
            $lookup->at('name')->name(),
            $address,
            $lookup->has('parameters')
                ? array_map(ParameterFormat::read(...), $lookup->at('parameters')->items(AddressTemplate::MOST))
                : [],
            $lookup->has('readings')
                ? array_map(
                    static fn (Document $one): Reading => self::reading($one, $format),
                    $lookup->at('readings')->items(Lookup::READINGS),
                )
                : [],
            $format,
            $lookup->has('headers')
                ? array_map(self::header(...), $lookup->at('headers')->items(Header::MOST))
                : [],
            $lookup->has('keep') ? self::keep($lookup->at('keep')) : new Keep,
            $lookup->has('id') ? $lookup->at('id')->id() : '',
        );
        self::eachOnce($lookup, 'parameters', count($read->parameters));
        self::eachOnce($lookup, 'readings', count($read->readings));

        return $read;
    }

    /** @return array<string, mixed> with what is as usual left out */
    public static function write(Lookup $lookup): array
    {
        $usual = new Keep;

        return ($lookup->id === $lookup->name ? [] : ['id' => $lookup->id])
            + ['name' => $lookup->name, 'address' => $lookup->address->text]
            + array_filter([
                'format' => $lookup->format === AnswerFormat::Json ? '' : $lookup->format->value,
                'parameters' => array_map(ParameterFormat::write(...), array_values($lookup->parameters)),
                'headers' => array_map(
                    static fn (Header $one): array => ['name' => $one->name]
                        + ($one->isSecret ? ['secret' => true] : ['value' => $one->value]),
                    $lookup->headers,
                ),
                'readings' => array_map(self::writeReading(...), array_values($lookup->readings)),
                'keep' => array_filter([
                    'least' => $lookup->keep->least === $usual->least ? null : $lookup->keep->least,
                    'most' => $lookup->keep->most === $usual->most ? null : $lookup->keep->most,
                    'stale' => $lookup->keep->stale === $usual->stale ? null : $lookup->keep->stale,
                    'ahead' => $lookup->keep->ahead === 0 ? null : $lookup->keep->ahead,
                ], static fn (?int $one): bool => $one !== null),
            ]);
    }

    private static function reading(Document $reading, AnswerFormat $format): Reading
    {
        $kinds = ReadingKinds::byKey();
        $reading->object(
            ['name', 'path', 'type', 'longest', 'missing', 'noted', ...ReadingKinds::settings()],
            ['name', 'path'],
        );
        $path = $reading->at('path')->text(Paths::LONGEST);
        try {
            $format->mustRead($path);
        } catch (BadPath $bad) {
            $reading->at('path')->flaw(DocumentError::NotAPath, [
                'value' => mb_substr($path, 0, 100),
                'wanted' => $format->paths(),
                'why' => $bad->getMessage(),
            ]);
        }
        $type = $reading->has('type') ? $reading->at('type')->text(20) : 'text';
        if (! isset($kinds[$type])) {
            $reading->at('type')->notOneOf($type, array_keys($kinds));
        }

        return new Reading(
            $reading->at('name')->name(),
            $path,
            ReadingKinds::of($type, self::settings($reading)),
            $reading->has('longest') ? $reading->at('longest')->whole(1, Limits::READING) : Limits::READING,
            $reading->has('missing')
                ? array_map(
                    static fn (Document $one): string => $one->text(100),
                    $reading->at('missing')->items(Reading::MOST_MISSING),
                )
                : [],
            $reading->has('noted') && self::isNoted($reading, $type),
        );
    }

    private static function isNoted(Document $reading, string $type): bool
    {
        $isNoted = $reading->at('noted')->flag();
        if ($isNoted && $type !== NumberKind::key()) {
            $reading->at('noted')->flaw(DocumentError::OnlyNumbersAreNoted, []);
        }

        return $isNoted && $type === NumberKind::key();
    }

    /** @return array<string, int|string> */
    private static function settings(Document $reading): array
    {
        $settings = [];
        foreach (['unit' => 20, 'format' => 60, 'zone' => 60] as $key => $longest) {
            if ($reading->has($key)) {
                $settings[$key] = $reading->at($key)->text($longest);
            }
        }
        if ($reading->has('decimals')) {
            $settings['decimals'] = $reading->at('decimals')->whole(0, 6);
        }
        if ($reading->has('decimal_sign')) {
            $sign = $reading->at('decimal_sign')->text(1);
            in_array($sign, ['.', ','], true)
                ? $settings['decimal_sign'] = $sign
                : $reading->at('decimal_sign')->notOneOf($sign, ['.', ',']);
        }
        if (isset($settings['zone']) && ! Zones::isKnown((string) $settings['zone'])) {
            $reading->at('zone')->flaw(DocumentError::NotAZone, ['value' => (string) $settings['zone']]);
            unset($settings['zone']);
        }

        return $settings;
    }

    /** @return array<string, mixed> */
    private static function writeReading(Reading $reading): array
    {
        return ['name' => $reading->name, 'path' => $reading->path]
            + ($reading->kind::key() === 'text' ? [] : ['type' => $reading->kind::key()])
            + $reading->kind->settings()
            + ($reading->longest === Limits::READING ? [] : ['longest' => $reading->longest])
            + ($reading->missing === [] ? [] : ['missing' => $reading->missing])
            + ($reading->isNoted ? ['noted' => true] : []);
    }

    private static function header(Document $header): Header
    {
        $header->object(['name', 'value', 'secret'], ['name']);
        $name = $header->at('name')->text(60);
        $value = $header->has('value') ? $header->at('value')->text(Header::LONGEST) : '';
        if (! Header::isName($name)) {
            $header->at('name')->flaw(DocumentError::NotAHeader, ['value' => $name]);
        } elseif ($value !== '' && ! Header::isValue($value)) {
            $header->at('value')->flaw(DocumentError::NotAHeader, ['value' => mb_substr($value, 0, 100)]);
        }
        $isSecret = $header->has('secret') && $header->at('secret')->flag();
        if ($isSecret && $value !== '') {
            $header->at('value')->flaw(DocumentError::OneTooMany, ['key' => 'value', 'other' => 'secret']);
        }

        return new Header($name, $isSecret ? '' : $value, $isSecret);
    }

    private static function keep(Document $keep): Keep
    {
        $keep->object(['least', 'most', 'stale', 'ahead']);
        $usual = new Keep;
        $seconds = static fn (string $key, int $else, int $most = Keep::LONGEST): int => $keep->has($key)
            ? $keep->at($key)->whole(0, $most)
            : $else;
        $least = $seconds('least', $usual->least);

        return new Keep(
            $least,
            max($least, $seconds('most', $usual->most)),
            $seconds('stale', $usual->stale),
            $seconds('ahead', 0, 1_440),
        );
    }

    private static function eachOnce(Document $lookup, string $key, int $kept): void
    {
        $names = [];
        foreach ($lookup->has($key) ? $lookup->at($key)->items(Lookup::READINGS) : [] as $one) {
            $name = $one->has('name') && $one->at('name')->isText() ? $one->at('name')->text(60) : '';
            if (isset($names[Fold::caseless($name)])) {
                $one->at('name')->flaw(DocumentError::NameTwice, ['value' => $name]);
            }
            $names[Fold::caseless($name)] = true;
        }
    }
}
