<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\Person;
use SilverParrot\Lookup\CannedAnswers;
use SilverParrot\Lookup\Kinds\ListKind;
use SilverParrot\Lookup\Kinds\MomentKind;
use SilverParrot\Lookup\Kinds\NumberKind;
use SilverParrot\Lookup\Kinds\YesNoKind;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\OwnerKind;
use SilverParrot\Memory\View;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** A memory and an outside that hold whatever makes answers long: always the longest at first, then this and that. */
final class SyntheticWorld implements Readings, View
{
    private const LATELY = '2026-11-20T18:00:00Z';

    private const LONG_AGO = '0001-09-28T22:48:48Z';

    /** Attempts that change nothing but the line and the luck. */
    private const LONGEST_FIRST = 32;

    /** @var array<string, null|bool|int|string|array<string, mixed>> what was chosen, by what it is of */
    private array $chosen = [];

    /**
     * @param  string  $name  of everybody
     * @param  int  $attempt  0 for the longest of everything
     * @param  list<string>  $texts  what a response compares with
     * @param  list<int>  $numbers  likewise
     */
    public function __construct(
        private readonly Pack $pack,
        private readonly string $name,
        private readonly int $attempt,
        private readonly array $texts,
        private readonly array $numbers,
    ) {
    }

    public function knows(Key $key): bool
    {
        return true;
    }

    public function value(Key $key): null|bool|int|string|array
    {
        if ($key->kind === Kind::ListPosition) {
            return $this->somewhere($key->name);
        }
        $id = $key->id();
        if (! array_key_exists($id, $this->chosen)) {
            $options = $this->options($key);
            $this->chosen[$id] = $options[$this->place($id, count($options))];
        }

        return $this->chosen[$id];
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        if ($request->subject === 'lookup' && isset($this->pack->lookups[$request->name])) {
            return $this->reading($this->pack->lookups[$request->name], $request);
        }
        if ($request->subject === 'top') {
            $people = array_map(
                fn (int $place): Person => Person::unknown($this->name),
                range(1, max(1, (int) $request->of)),
            );

            return new ListValue($people, array_map(fn (): int => Limits::COUNTER, $people));
        }
        $id = $request->id;
        if (! array_key_exists($id, $this->chosen)) {
            $options = match ($request->name) {
                'viewers', 'followers', 'subscribers' => [Limits::COUNTER, ...$this->noNegatives(), 0],
                'live' => [true, false],
                'started', 'followed', 'subscribed', 'account_made' => [self::LONG_AGO, self::LATELY, null],
                'next' => ['9999-09-28T22:48:48Z', null],
                default => [
                    str_repeat('w', Limits::READING),
                    ...$this->texts,
                    ...$request->subject === 'lookup' ? [Limits::COUNTER, ...$this->numbers] : [],
                    null,
                ],
            };
            $this->chosen[$id] = $options[$this->place($id, count($options))];
        }
        $value = $this->chosen[$id];

        return is_array($value) ? null : $value;
    }

    private function reading(Lookup $lookup, Request $request): bool|int|string|Value
    {
        $kind = $lookup->readings[$request->of]->kind ?? null;
        $longest = str_repeat('w', $lookup->readings[$request->of]->longest ?? 1);
        $ago = Moment::fromIso(self::LONG_AGO) ?? new Moment(0);
        $options = match (true) {
            $request->of === CannedAnswers::AGE => [TimeSpan::between($ago, new Moment(0)) ?? 0],
            $kind instanceof NumberKind => [
                // What another look-up takes for a parameter is a small one mostly.
                ...$this->isPassedOn($request) ? [1] : [],
                Number::kept('-'.str_repeat('9', 24).'.999999') ?? 0,
                ...$this->numbers,
            ],
            $kind instanceof MomentKind => [$ago, Moment::fromIso(self::LATELY) ?? $ago],
            $kind instanceof YesNoKind => [true, false],
            $kind instanceof ListKind => [new ListValue(array_fill(0, ListKind::MOST, $longest)), new ListValue(['w'])],
            default => [$longest, ...$this->texts, 'w', '7'],
        };
        $options[] = $request->couldNotBeHad();

        return $options[$this->place($request->id, count($options))];
    }

    private function isPassedOn(Request $request): bool
    {
        foreach ($this->pack->lookups as $lookup) {
            foreach ($lookup->parameters as $parameter) {
                if (Fold::caseless($parameter->from) === "lookup.{$request->name}.{$request->of}") {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> what was asked for, in plain words */
    public function given(): array
    {
        $given = [];
        foreach ($this->chosen as $id => $value) {
            $key = Key::fromId($id);
            $of = $key === null ? explode("\x1F", $id)[0] : match ($key->kind) {
                Kind::Counter => "counter.{$key->name}",
                Kind::Occasion => "occasion.{$key->name}",
                Kind::Field => "the field {$key->name}",
                Kind::Goods => "goods.{$key->name}",
                default => null,
            };
            if ($of !== null && ! is_array($value)) {
                $given[] = $of.' is '.match (true) {
                    is_bool($value) => $value ? 'yes' : 'no',
                    is_string($value) && mb_strlen($value) > 40 => 'a text of '.mb_strlen($value).' characters',
                    $value === null => 'nothing',
                    default => (string) $value,
                };
            }
        }

        return $given;
    }

    /** @return non-empty-list<null|bool|int|string|array<string, mixed>> the longest first */
    private function options(Key $key): array
    {
        return match ($key->kind) {
            Kind::Counter => $this->counts($key),
            Kind::Field => match ($this->pack->fields[$key->name]->type ?? null) {
                FieldType::Number => ['-999999999999999.999999', ...$this->numbers],
                FieldType::Points => [
                    Limits::COUNTER,
                    ...$this->noNegatives(),
                ],
                FieldType::Moment => [self::LONG_AGO, self::LATELY, null],
                FieldType::YesNo => [true, false],
                default => [str_repeat('w', Limits::FIELD_TEXT), ...$this->texts, null],
            },
            Kind::Goods => [
                Limits::COUNTER - 1,
                ...$this->noNegatives(),
            ],
            Kind::Occasion => [self::LONG_AGO, self::LATELY, '9999-09-28T22:48:48Z', null],
            Kind::Person => [
                [
                    'id' => 'longest',
                    'login' => Fold::caseless($this->name),
                    'name' => $this->name,
                    'levels' => ['subscriber', 'moderator'],
                    'tier' => 3,
                    'lines' => Limits::COUNTER,
                    'first_seen' => self::LONG_AGO,
                    'last_seen' => self::LONG_AGO,
                ],
                null,
            ],
            Kind::Noted => [Limits::COUNTER, ...$this->numbers, null],
            Kind::AddedItems => [
                ['items' => [['id' => 'added', 'text' => str_repeat('w', AddedItems::LONGEST)]]],
                ['items' => [['id' => 'added', 'text' => $this->texts[0] ?? 'w']]],
                null,
            ],
            default => [null],
        };
    }

    /** @return non-empty-list<int> */
    private function counts(Key $key): array
    {
        $counter = $this->pack->counters[$key->name] ?? null;
        $of = static fn (int $number): int => $counter === null || $key->owner->kind === OwnerKind::Total
            ? $number
            : $counter->within($number);
        // One below the highest leaves room to count on.
        $counts = [
            $of(Limits::COUNTER - 1),
            $of(Limits::COUNTER),
            $of(-Limits::COUNTER),
            ...array_map($of, $this->numbers),
        ];

        return array_values(array_unique($counts));
    }

    /**
     * In the middle of a list, by luck, so that each attempt meets other items. The round is the same for all attempts:
     * to shuffle ten thousand items for each takes seconds.
     *
     * @return array{last: string, place: int, round: string}|null
     */
    private function somewhere(string $list): ?array
    {
        foreach ($this->pack->lists as $one) {
            if (Fold::caseless($one->id) === $list && $one->items !== []) {
                $place = crc32("{$this->attempt} $list") % count($one->items);

                return ['last' => $one->items[$place]->id, 'place' => $place, 'round' => 'imagined'];
            }
        }

        return null;
    }

    private function place(string $id, int $count): int
    {
        // The first attempts take the longest of everything, so that all kinds of lines meet it; after them a third of
        // the circumstances are others. What is chosen depends on nothing but the attempt.
        $luck = crc32("{$this->attempt} $id");

        return $this->attempt < self::LONGEST_FIRST || $luck % 3 > 0 ? 0 : intdiv($luck, 3) % $count;
    }

    /** @return list<int> those of the numbers that can be counts */
    private function noNegatives(): array
    {
        return array_values(array_filter($this->numbers, static fn (int $one): bool => $one >= 0));
    }
}
