<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Lookup\Parameters\AnyText;
use SilverParrot\Lookup\Parameters\OneOf;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Parameters\ParameterRule;
use SilverParrot\Lookup\Parameters\PlainParts;
use SilverParrot\Lookup\Parameters\WholeNumber;
use SilverParrot\Source\Limits;

/** {"name": "port", "one_of": ["porth", "tregarn"], "default": "porth", "from": "words"} */
final class ParameterFormat
{
    public static function read(Document $parameter): Parameter
    {
        $parameter->object(
            [
                'name', 'default', 'sample', 'from', 'sentence', 'longest', 'language', 'secret',
                OneOf::key(), WholeNumber::key(), PlainParts::key(),
            ],
            ['name'],
        );
        $text = static fn (string $key, int $longest): string => $parameter->has($key)
            ? $parameter->at($key)->text($longest)
            : '';
        $read = new Parameter(
            $parameter->at('name')->name(),
            self::rule($parameter),
            $text('default', Parameter::LONGEST),
            $text('sample', Parameter::LONGEST),
            $text('from', 100),
            $text('sentence', Parameter::SENTENCE),
            $parameter->has('longest') ? $parameter->at('longest')->whole(1, Parameter::LONGEST) : Parameter::LONGEST,
            $parameter->has('language') && $parameter->at('language')->flag(),
            $parameter->has('secret') && $parameter->at('secret')->flag(),
        );
        foreach ($read->isSecret ? ['default', 'sample', 'from'] : [] as $key) {
            if ($parameter->has($key)) {
                $parameter->at($key)->flaw(DocumentError::OneTooMany, ['key' => $key, 'other' => 'secret']);
            }
        }
        if ($read->default !== '' && $read->rule->admitted($read->default) === null) {
            $parameter->at('default')->flaw(DocumentError::NotAdmitted, ['value' => $read->default]);
        }
        if ($read->from !== '' && preg_match('/^[a-z_]+(?:\.[\p{L}\p{N}_]+)*(?: \d{1,2})?$/uD', $read->from) !== 1) {
            $parameter->at('from')->flaw(DocumentError::NotAnOperand, ['value' => $read->from]);
        }

        return $read;
    }

    /** @return array<string, mixed> with what is as usual left out */
    public static function write(Parameter $parameter): array
    {
        return ['name' => $parameter->name] + array_filter(
            [
                $parameter->rule::key() => $parameter->rule->write(),
                'default' => $parameter->default,
                'sample' => $parameter->sample,
                'from' => $parameter->from,
                'sentence' => $parameter->sentence,
                'longest' => $parameter->longest === Parameter::LONGEST ? null : $parameter->longest,
                'language' => $parameter->isLanguage ?: null,
                'secret' => $parameter->isSecret ?: null,
            ],
            static fn (mixed $one): bool => $one !== null && $one !== '',
        );
    }

    private static function rule(Document $parameter): ParameterRule
    {
        return match (true) {
            $parameter->has(OneOf::key()) => new OneOf(array_map(
                static fn (Document $one): string => $one->text(Parameter::LONGEST),
                $parameter->at(OneOf::key())->items(OneOf::MOST),
            )),
            $parameter->has(WholeNumber::key()) => self::number($parameter->at(WholeNumber::key())),
            $parameter->has(PlainParts::key()) => new PlainParts(
                array_map(self::part(...), $parameter->at(PlainParts::key())->items(PlainParts::MOST)),
            ),
            default => new AnyText,
        };
    }

    private static function number(Document $number): WholeNumber
    {
        $number->object(['least', 'most'], ['least', 'most']);

        return new WholeNumber(
            $number->at('least')->whole(-Limits::COUNTER, Limits::COUNTER),
            $number->at('most')->whole(-Limits::COUNTER, Limits::COUNTER),
        );
    }

    /** @return array{kind: string, least: int, most: int}|array{kind: 'text', text: string} */
    private static function part(Document $part): array
    {
        $part->object(['text', ...PlainParts::kinds()]);
        foreach (PlainParts::kinds() as $kind) {
            if ($part->has($kind)) {
                $limits = array_map(
                    static fn (Document $one): int => $one->whole(0, PlainParts::LONGEST),
                    $part->at($kind)->items(2),
                );

                return ['kind' => $kind, 'least' => $limits[0] ?? 1, 'most' => max($limits[0] ?? 1, $limits[1] ?? 1)];
            }
        }

        return ['kind' => 'text', 'text' => $part->has('text') ? $part->at('text')->text(20) : ''];
    }
}
