<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/**
 * The circumstances that can matter to a command, one thing changed at a time: its sources down, its counters at their
 * ends and at what they are compared with, records of people, the stream and its category, the hour and the day, luck.
 */
final readonly class Beginnings
{
    private const HOUR = 3_600_000;

    /** Other random seeds. */
    private const SEEDS = 60;

    private const PLENTY = 1_000_000;

    public function __construct(private Pack $pack, private Written $written, private Moment $at)
    {
    }

    /** @return iterable<Beginning> what is most to be looked at first */
    public function all(): iterable
    {
        foreach ($this->written->named('lookup') as $name) {
            $lookup = $this->pack->lookups[$name] ?? null;
            if ($lookup !== null) {
                yield new Beginning(
                    "the look-up {$lookup->name} down",
                    answers: [$name => [new CannedAnswer([], Trouble::Timeout)]],
                    isWanted: true,
                );
            }
        }
        foreach ($this->written->named('counter') as $name) {
            $counter = $this->pack->counters[$name] ?? null;
            yield from $counter === null ? [] : $this->ofCounter($counter);
        }
        $fields = $this->written->named('caller', 'target');
        $ranked = in_array('rank', $fields, true) ? array_keys($this->pack->ladders) : [];
        foreach (array_unique([...$fields, ...$ranked]) as $name) {
            $field = $this->pack->fields[$name] ?? null;
            yield from $field === null ? [] : $this->ofField($field);
        }
        yield from $this->ofOccasions();
        yield from $this->ofGoods();
        yield new Beginning('while offline', channel: ['live' => false, 'started' => null, 'viewers' => null]);
        foreach ($this->written->texts as $text) {
            yield new Beginning("while the category is $text", channel: ['category' => $text]);
        }
        yield new Beginning('in a category of no name', channel: ['category' => 'Something Else']);
        foreach ($this->written->named('channel') as $detail) {
            yield new Beginning("without channel.$detail", channel: [$detail => null]);
            foreach (in_array($detail, ['viewers', 'followers', 'subscribers'], true)
                ? $this->written->numbers
                : [] as $number) {
                yield new Beginning("with $number $detail", channel: [$detail => max(0, $number)]);
            }
        }
        yield from self::atOtherTimes();
    }

    /** @return iterable<Beginning> other luck, where it matters */
    public function luck(): iterable
    {
        for ($seed = 2; $this->written->isOfLuck && $seed < self::SEEDS + 2; $seed++) {
            yield new Beginning("with other luck ($seed)", seed: (string) $seed);
        }
    }

    /** @return iterable<Beginning> */
    private function ofCounter(Counter $counter): iterable
    {
        $isChanged = array_filter(
            $this->written->changed,
            static fn (string $place): bool => Fold::caseless($place) === 'counter.'.Fold::caseless($counter->name),
        ) !== [];
        foreach (['floor' => $counter->floor, 'ceiling' => $counter->ceiling] as $end => $number) {
            if ($number !== null) {
                yield new Beginning(
                    "counter.{$counter->name} at its $end ($number)",
                    [$counter->name => $number],
                    isWanted: $isChanged,
                );
            }
        }
        foreach ($this->written->numbers as $number) {
            yield new Beginning(
                "counter.{$counter->name} at {$counter->within($number)}",
                [$counter->name => $counter->within($number)],
            );
        }
    }

    /** @return iterable<Beginning> */
    private function ofField(Field $field): iterable
    {
        $values = match ($field->type) {
            FieldType::Number, FieldType::Points => [0, self::PLENTY, ...array_map(
                static fn (int $one): int => $field->type === FieldType::Points ? max(0, $one) : $one,
                $this->written->numbers,
            )],
            FieldType::YesNo => ['yes', 'no'],
            FieldType::Text => ['something', ...$this->written->texts],
            FieldType::Moment => [],
        };
        foreach (array_unique($values) as $value) {
            yield new Beginning("everybody’s {$field->name} at $value", record: [$field->name => (string) $value]);
        }
    }

    /** @return iterable<Beginning> each some days ago, and some days ahead */
    private function ofOccasions(): iterable
    {
        foreach ($this->written->named('occasion') as $name) {
            $occasion = $this->pack->occasions[$name] ?? null;
            if ($occasion === null) {
                continue;
            }
            foreach ([-3 => '3 days ago', 3 => 'in 3 days'] as $days => $when) {
                yield new Beginning("occasion.{$occasion->name} $when", occasions: [
                    $occasion->name => $this->at->plusMillis($days * 24 * self::HOUR)->iso(),
                ]);
            }
        }
    }

    /** @return iterable<Beginning> */
    private function ofGoods(): iterable
    {
        foreach ($this->written->named('goods') as $name) {
            $goods = $this->pack->goods[$name] ?? null;
            if ($goods !== null) {
                yield new Beginning("everybody has some {$goods->name}", goods: [$goods->name => 3]);
            }
        }
    }

    /** @return iterable<Beginning> */
    private static function atOtherTimes(): iterable
    {
        yield new Beginning('in the next stream', isNewStream: true);
        foreach ([6, 12, 18] as $hours) {
            yield new Beginning("$hours hours later", later: $hours * self::HOUR);
        }
        for ($days = 1; $days < 7; $days++) {
            yield new Beginning($days === 1 ? 'a day later' : "$days days later", later: $days * 24 * self::HOUR);
        }
        foreach ([91, 182, 273] as $days) {
            yield new Beginning("$days days later", later: $days * 24 * self::HOUR);
        }
    }
}
