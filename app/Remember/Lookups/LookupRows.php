<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Reading;

/** The rows of the form: as they were typed, whether or not they make sense, else as the look-up has them. */
final readonly class LookupRows
{
    private const PARAMETER = [
        'name' => '', 'may' => '', 'sample' => '', 'from' => '', 'default' => '', 'sentence' => '', 'secret' => '',
        'longest' => '',
    ];

    private const READING = [
        'name' => '', 'type' => 'text', 'path' => '', 'unit' => '', 'decimals' => '', 'comma' => '', 'format' => '',
        'zone' => '', 'missing' => '', 'noted' => '',
    ];

    private const KEEP = ['least' => '', 'most' => '', 'stale' => '', 'ahead' => ''];

    private const HEADER = ['name' => '', 'value' => '', 'secret' => ''];

    /**
     * @param  list<array<string, string>>  $parameters
     * @param  list<array<string, string>>  $readings
     * @param  list<array<string, string>>  $headers
     * @param  array<string, string>  $keep
     */
    private function __construct(
        public array $parameters,
        public array $readings,
        public array $headers,
        public array $keep,
    ) {
    }

    /** @param  array<array-key, mixed>  $typed  what stood in the fields when they were sent; empty where nobody did */
    public static function of(Lookup $lookup, array $typed): self
    {
        return $typed === [] ? self::asItIs($lookup) : new self(
            self::typed($typed['parameters'] ?? [], self::PARAMETER),
            self::typed($typed['readings'] ?? [], self::READING),
            self::typed($typed['headers'] ?? [], self::HEADER),
            self::typed([$typed['keep'] ?? []], self::KEEP)[0] ?? self::KEEP,
        );
    }

    /** @return array<string, string> */
    public static function noParameter(): array
    {
        return self::PARAMETER;
    }

    /** @return array<string, string> */
    public static function noReading(): array
    {
        return self::READING;
    }

    private static function asItIs(Lookup $lookup): self
    {
        return new self(
            array_map(static fn (Parameter $one): array => [
                'name' => $one->name,
                'may' => TypedRule::write($one),
                'sample' => $one->sample,
                'from' => $one->from,
                'default' => $one->default,
                'sentence' => $one->sentence,
                'longest' => $one->longest === Parameter::LONGEST ? '' : (string) $one->longest,
                'secret' => $one->isSecret ? '1' : '',
            ], array_values($lookup->parameters)),
            array_map(self::reading(...), array_values($lookup->readings)),
            array_map(static fn ($one): array => [
                'name' => $one->name,
                'value' => $one->value,
                'secret' => $one->isSecret ? '1' : '',
            ], $lookup->headers),
            [
                'least' => (string) $lookup->keep->least,
                'most' => (string) $lookup->keep->most,
                'stale' => (string) $lookup->keep->stale,
                'ahead' => $lookup->keep->ahead === 0 ? '' : (string) $lookup->keep->ahead,
            ],
        );
    }

    /** @return array<string, string> */
    private static function reading(Reading $reading): array
    {
        $own = $reading->kind->settings();

        return [
            'name' => $reading->name,
            'type' => $reading->kind::key(),
            'path' => $reading->path,
            'missing' => implode(', ', $reading->missing),
            'noted' => $reading->isNoted ? '1' : '',
            'comma' => ($own['decimal_sign'] ?? '') === ',' ? '1' : '',
        ] + array_map(
            static fn (mixed $one): string => is_scalar($one) ? (string) $one : '',
            array_intersect_key($own, self::READING),
        ) + self::READING;
    }

    /**
     * @param  array<string, string>  $none
     * @return list<array<string, string>>
     */
    private static function typed(mixed $rows, array $none): array
    {
        $typed = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            $row = array_filter(is_array($row) ? array_intersect_key($row, $none) : [], is_string(...));
            // A type says little without a name and a path.
            if (trim(implode('', array_diff_key($row, ['type' => true]))) !== '') {
                $typed[] = $row + $none;
            }
        }

        return $typed;
    }
}
