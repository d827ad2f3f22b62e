<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;

/** Everything that can stand in a slot, from what names, verbs, filters and phrases say of themselves. */
final readonly class Reference
{
    /** @return array<string, list<Described>> by the heading they stand under */
    public static function described(Vocabulary $vocabulary = new Vocabulary): array
    {
        return [
            // A ranking is read as a name, and written as a phrase.
            'Phrases' => [...Phrases::all(), (new Names\TopName)->describe()],
            'Names' => array_values(array_map(static fn (Name $name): Described => $name->describe(), array_filter($vocabulary->names, static fn (Name $name): bool => ! $name instanceof Names\TopName))),
            'Verbs' => array_values(array_map(static fn (Verb $verb): Described => $verb->describe(), $vocabulary->verbs)),
            'Filters' => array_values(array_map(static fn (Filter $filter): Described => $filter->describe(), $vocabulary->filters)),
        ];
    }

    /**
     * What an author of this pack can type: names with all their parts, the pack's own among them.
     *
     * @return list<ReferenceEntry>
     */
    public static function of(Pack $pack, Vocabulary $vocabulary = new Vocabulary): array
    {
        $entries = [];
        foreach (self::described($vocabulary) as $heading => $all) {
            foreach ($all as $described) {
                $paths = $heading === 'Names' ? self::paths($described, $pack) : [$described->name];
                foreach ($paths as $path) {
                    $entries[] = new ReferenceEntry($heading, $path, $described, $heading === 'Names');
                }
            }
        }

        return $entries;
    }

    /** @return list<string> "caller", "caller.name", "caller.pebbles"; "counter.planks" */
    private static function paths(Described $described, Pack $pack): array
    {
        $own = match ($described->name) {
            'caller', 'target' => array_column($pack->fields, 'name'),
            'counter' => array_column($pack->counters, 'name'),
            'occasion' => array_column($pack->occasions, 'name'),
            'fact' => array_column($pack->facts, 'name'),
            'list' => array_column($pack->lists, 'name'),
            'goods' => array_column($pack->goods, 'name'),
            default => null,
        };
        // Some names mean nothing by themselves: only what the author has declared follows them.
        $needsPart = in_array($described->name, ['counter', 'occasion', 'fact', 'list', 'goods', 'lookup', 'outcome', 'happening'], true);
        $parts = $needsPart && ! in_array($described->name, ['outcome', 'happening'], true) ? ($own ?? []) : [...$described->parts, ...($own ?? [])];

        return [...($needsPart ? [] : [$described->name]), ...array_map(static fn (string $part): string => "{$described->name}.$part", $parts)];
    }
}
