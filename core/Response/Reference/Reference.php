<?php

declare(strict_types=1);

namespace SilverParrot\Response\Reference;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Verb;
use SilverParrot\Response\Vocabulary\Vocabulary;

/** Everything that can stand in a slot, from what names, verbs, filters and phrases say of themselves. */
final readonly class Reference
{
    /** @return array<string, list<Description>> by the heading they stand under */
    public static function described(Vocabulary $vocabulary = new Vocabulary): array
    {
        return [
            'Phrases' => Phrases::all(),
            'Names' => array_values(
                array_map(static fn (Name $name): Description => $name->describe(), $vocabulary->names),
            ),
            'Verbs' => array_values(
                array_map(static fn (Verb $verb): Description => $verb->describe(), $vocabulary->verbs),
            ),
            'Filters' => array_values(
                array_map(static fn (Filter $filter): Description => $filter->describe(), $vocabulary->filters),
            ),
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
            foreach ($heading === 'Names' ? [] : $all as $described) {
                $entries[] = new ReferenceEntry($heading, $described->name, $described, false);
            }
            foreach ($heading === 'Names' ? $vocabulary->names : [] as $name) {
                if (! $name->isOffered()) {
                    continue;
                }
                $described = $name->describe();
                foreach (self::paths($described->name, $name, $pack) as $path) {
                    $entries[] = new ReferenceEntry($heading, $path, $described, true);
                }
            }
        }

        return $entries;
    }

    /** @return list<string> "caller", "caller.name", "caller.pebbles"; "counter.planks" */
    private static function paths(string $head, Name $name, Pack $pack): array
    {
        return [
            ...$name->standsAlone() ? [$head] : [],
            ...array_map(static fn (string $part): string => "$head.$part", $name->parts($pack)),
        ];
    }
}
