<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use Closure;
use SilverParrot\Chat\Level;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\CannedAnswers;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Memory\FoundQuotes;
use SilverParrot\Memory\FoundRanking;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\Quotes;
use SilverParrot\Memory\Ranking;
use SilverParrot\Memory\Store;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;

/** What a rehearsal begins with: a copy of memory, details of the channel, canned results. */
final readonly class InitialState
{
    /**
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id
     * @param  array<string, null|bool|int|string>  $channel  details by their names: "category" => "Planking"
     * @param  array<string, null|bool|int|string>  $readings  by "tide.high"
     * @param  array<string, null|bool|int|string>  $people  details by "followed.tamsin"
     * @param  Quotes|null  $quotes  null to find them in $memory
     * @param  Store|null  $rest  where what is not in $memory is read when it is asked for; null where $memory is all
     * @param  Ranking|null  $ranking  null to find them in $memory
     * @param  array<string, list<CannedAnswer>>  $answers  of look-ups, by folded name
     */
    public function __construct(
        public array $memory = [],
        public array $channel = [],
        public array $readings = [],
        public array $people = [],
        public ?Quotes $quotes = null,
        public ?Store $rest = null,
        public ?Ranking $ranking = null,
        public array $answers = [],
    ) {
    }

    /**
     * @return array<string, null|bool|int|string|array<string, mixed>> the cast by key id: each is known, and has a
     *     record
     */
    public static function ofCast(Pack $pack): array
    {
        $records = [];
        foreach ($pack->cast as $member) {
            $records += self::recordOf($member, $pack);
        }

        return $records;
    }

    /** With the cast in it. What memory already holds of them stays. */
    public function withCast(Pack $pack): self
    {
        return new self(
            $this->memory + self::ofCast($pack),
            $this->channel,
            $this->readings,
            $this->people,
            $this->quotes,
            $this->rest,
            $this->ranking,
            $this->answers,
        );
    }

    /** With what the streaming service would tell of the cast; of whom it told something, that stays. */
    public function withDetailsOf(Pack $pack): self
    {
        $people = $this->people;
        foreach ($pack->cast as $member) {
            $person = $member->person();
            $details = $member->details;
            if (! $person->levels->has(Level::Follower)) {
                $details['followed'] = null;
            }
            foreach ($details as $name => $value) {
                $people += ["$name.{$person->login}" => $value];
            }
        }

        return new self(
            $this->memory,
            $this->channel,
            $this->readings,
            $people,
            $this->quotes,
            $this->rest,
            $this->ranking,
            $this->answers,
        );
    }

    /**
     * As a line on the air found it: that first, the rest as it is.
     *
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id
     * @param  array<string, null|bool|int|string>  $readings  by request id
     */
    public function as(array $memory, array $readings): self
    {
        $of = static function (string $subject) use ($readings): array {
            $values = [];
            foreach ($readings as $id => $value) {
                if (str_starts_with($id, "$subject.")) {
                    $values[substr($id, strlen($subject) + 1)] = $value;
                }
            }

            return $values;
        };

        return new self(
            $memory + $this->memory,
            $of('channel') + $this->channel,
            $of('lookup') + $this->readings,
            $of('person') + $this->people,
            $this->quotes,
            $this->rest,
            $this->ranking,
            $this->answers,
        );
    }

    /** @param  array<string, list<CannedAnswer>>  $answers  of look-ups, by folded name */
    public function withAnswers(array $answers): self
    {
        return new self(
            $this->memory,
            $this->channel,
            $this->readings,
            $this->people,
            $this->quotes,
            $this->rest,
            $this->ranking,
            $answers + $this->answers,
        );
    }

    /** @param  array<string, null|bool|int|string>  $channel */
    public function withChannel(array $channel): self
    {
        return new self(
            $this->memory,
            $channel + $this->channel,
            $this->readings,
            $this->people,
            $this->quotes,
            $this->rest,
            $this->ranking,
            $this->answers,
        );
    }

    /**
     * @param  Closure(): array<string, null|bool|int|string|array<string, mixed>>|null  $memory  as it is by then; null
     *     for as it was at the beginning
     */
    public function readings(?Closure $memory = null): Readings
    {
        $memory ??= fn (): array => $this->memory;
        $results = [];
        foreach (
            ['channel' => $this->channel, 'lookup' => $this->readings, 'person' => $this->people] as $subject => $values
        ) {
            foreach ($values as $name => $value) {
                $results["$subject.$name"] = $value;
            }
        }

        return new RememberedReadings(
            new CannedReadings($results),
            new SearchedReadings(
                $this->quotes ?? new FoundQuotes($memory),
                $this->ranking ?? new FoundRanking($memory),
            ),
        );
    }

    /**
     * With what look-ups of a pack would say.
     *
     * @param  Closure(): array<string, null|bool|int|string|array<string, mixed>>  $memory  as it is by then
     */
    public function outside(Pack $pack, Closure $memory): Readings
    {
        return new CannedAnswers($pack->lookups, $this->answers, $this->readings($memory), $pack->channel->zone);
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> */
    public static function recordOf(CastMember $member, Pack $pack): array
    {
        $person = $member->person();
        $memory = [Key::person($person->login)->id() => $person->record()];
        foreach ($member->record as $name => $value) {
            $name = (string) $name;
            $field = $pack->fields[Fold::caseless($name)] ?? null;
            if ($field !== null) {
                $memory[Key::field($name, $person->id)->id()] = match (true) {
                    $field->type->isNumber() && preg_match('/^-?\d{1,15}$/D', $value) === 1 => (int) $value,
                    $field->type === FieldType::YesNo => $value === 'yes',
                    default => $value,
                };
            }
        }

        return $memory;
    }

    /**
     * @param  list<Quote>  $quotes
     * @return array<string, int|array<string, string>> by key id
     */
    public static function quoteKeys(array $quotes): array
    {
        $memory = [];
        foreach ($quotes as $quote) {
            $memory[Key::quote($quote->number)->id()] = $quote->record();
        }

        return $quotes === []
            ? []
            : $memory + [Key::lastQuote()->id() => max(array_column($quotes, 'number'))];
    }

    /**
     * A counter's numbers as keys of memory, with the sum that is kept beside several.
     *
     * @param  array<string, int>  $numbers  by owner: empty for the channel, a category, or a person's id
     * @return array<string, int>
     */
    public static function counterKeys(Counter $counter, array $numbers): array
    {
        $memory = [];
        foreach ($numbers as $owner => $number) {
            $key = match ($counter->scope) {
                CounterScope::Channel => Owner::channel(),
                CounterScope::Category => Owner::category((string) $owner),
                CounterScope::Viewer => Owner::viewer((string) $owner),
            };
            $memory[Key::counter($counter->id, $key)->id()] = $number;
        }
        if ($counter->scope->hasSum()) {
            $memory[Key::counter($counter->id, Owner::total())->id()] = array_sum($numbers);
        }

        return $memory;
    }
}
