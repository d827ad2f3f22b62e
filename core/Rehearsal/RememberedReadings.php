<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Quote;
use SilverParrot\Response\Names\Target;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Items;
use SilverParrot\Value\Value;

/** What has to be searched for in memory, quotes and who has the most, found in a memory that is all at hand. The rest is asked of others. */
final readonly class RememberedReadings implements Readings
{
    /**
     * @param  list<Quote>  $quotes  in the order of their numbers
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id
     */
    public function __construct(private Readings $others, private array $quotes, private array $memory)
    {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        return match ($request->subject) {
            'quote' => $this->quote($request),
            'top' => $this->top($request),
            default => $this->others->read($request),
        };
    }

    private function quote(Request $request): int|Quote|null
    {
        if (str_starts_with($request->name, 'number ')) {
            $number = (int) substr($request->name, 7);

            return array_values(array_filter($this->quotes, static fn (Quote $quote): bool => $quote->number === $number))[0] ?? null;
        }
        $found = array_values(array_filter($this->quotes, static fn (Quote $quote): bool => self::has($quote, $request->of)));

        return $request->name === 'count' ? count($found) : $found[(int) substr($request->name, 3) - 1] ?? null;
    }

    /** Whether all words are in it, or in the name of who said it. */
    private static function has(Quote $quote, string $words): bool
    {
        $text = Fold::caseless("{$quote->text} {$quote->by}");
        foreach (preg_split('/[\s\p{Z}]++/u', Fold::caseless($words), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (! str_contains($text, $word)) {
                return false;
            }
        }

        return true;
    }

    private function top(Request $request): Items
    {
        $has = [];
        $people = [];
        foreach ($this->memory as $id => $value) {
            $key = Key::fromId($id);
            if ($key?->kind === Kind::Field && $key->name === Fold::caseless($request->name) && is_int($value)) {
                $has[$key->owner] = $value;
            } elseif ($key?->kind === Kind::Person) {
                $person = Target::fromRecord($value);
                if ($person !== null) {
                    $people[Key::viewer($person->id)] = $person;
                }
            }
        }
        $has = array_intersect_key($has, $people);
        // Who has as much stands by name, so that the order is the same each time.
        uksort($has, static fn (string $a, string $b): int => $has[$b] <=> $has[$a] ?: $people[$a]->login <=> $people[$b]->login);
        $best = array_slice($has, 0, (int) $request->of, true);

        return new Items(array_map(static fn (string $owner): Value => $people[$owner], array_keys($best)), array_values($best));
    }
}
