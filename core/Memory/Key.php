<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Source\Fold;

/**
 * The name of one remembered thing: its kind, the id of the definition that it belongs to, and whose it is. Ids are
 * folded, since those of old were names, of which two spellings are one.
 */
final readonly class Key
{
    /** Kind, name and owner with a separator that none of them can hold. */
    private string $id;

    private function __construct(public Kind $kind, public string $name, public Owner $owner)
    {
        $this->id = $kind->value."\x1F".$name."\x1F".$owner->id;
    }

    public static function counter(string $id, ?Owner $owner = null): self
    {
        return new self(Kind::Counter, Fold::caseless($id), $owner ?? Owner::channel());
    }

    public static function field(string $id, string $personId): self
    {
        return new self(Kind::Field, Fold::caseless($id), Owner::viewer($personId));
    }

    public static function goods(string $id, string $personId): self
    {
        return new self(Kind::Goods, Fold::caseless($id), Owner::viewer($personId));
    }

    public static function everEarned(string $field, string $personId): self
    {
        return new self(Kind::EverEarned, Fold::caseless($field), Owner::viewer($personId));
    }

    public static function sold(string $goods): self
    {
        return new self(Kind::Sold, Fold::caseless($goods), Owner::channel());
    }

    public static function checkIn(string $personId): self
    {
        return new self(Kind::CheckIn, '', Owner::viewer($personId));
    }

    public static function regular(string $personId): self
    {
        return new self(Kind::Regular, '', Owner::viewer($personId));
    }

    public static function occasion(string $id): self
    {
        return new self(Kind::Occasion, Fold::caseless($id), Owner::channel());
    }

    public static function person(string $login): self
    {
        return new self(Kind::Person, Fold::caseless($login), Owner::channel());
    }

    /** Who somebody is and when they were seen, by the id that stays theirs whatever they are called. */
    public static function seen(string $personId): self
    {
        return new self(Kind::Seen, '', Owner::viewer($personId));
    }

    public static function listPosition(string $id, ?Owner $owner = null): self
    {
        return new self(Kind::ListPosition, Fold::caseless($id), $owner ?? Owner::channel());
    }

    public static function addedItems(string $list): self
    {
        return new self(Kind::AddedItems, Fold::caseless($list), Owner::channel());
    }

    /** @param  string  $item  its id, which is no name and told apart by case */
    public static function drawn(string $list, string $item): self
    {
        return new self(Kind::Drawn, Fold::caseless($list)."\x1E".$item, Owner::channel());
    }

    public static function guarded(string $counter, Owner $owner): self
    {
        return new self(Kind::Guarded, Fold::caseless($counter), $owner);
    }

    /** @param  string  $what  "counter planks", "channel viewers" */
    public static function noted(string $what): self
    {
        return new self(Kind::Noted, Fold::caseless($what), Owner::channel());
    }

    public static function longestRun(string $occasion): self
    {
        return new self(Kind::LongestRun, Fold::caseless($occasion), Owner::channel());
    }

    public static function quote(int $number): self
    {
        return new self(Kind::Quote, (string) $number, Owner::channel());
    }

    public static function lastQuote(): self
    {
        return new self(Kind::LastQuote, '', Owner::channel());
    }

    /** How far quotes were drawn, where each comes once: no list has an empty id. */
    public static function quotePosition(): self
    {
        return self::listPosition('');
    }

    public static function lastRun(string $command, ?Owner $owner = null): self
    {
        return new self(Kind::LastRun, Fold::caseless($command), $owner ?? Owner::channel());
    }

    public static function timer(string $id): self
    {
        return new self(Kind::Timer, Fold::caseless($id), Owner::channel());
    }

    public static function peopleLines(): self
    {
        return new self(Kind::PeopleLines, '', Owner::channel());
    }

    /** When something was last said that nobody had asked for. */
    public static function lastUnasked(): self
    {
        return self::lastRun("\x1Eunasked");
    }

    /** When a phrase last set its command off, for its own cooldown. */
    public static function lastSaid(string $command, string $phrase): self
    {
        return self::lastRun($command."\x1E".hash('xxh128', Fold::caseless($phrase)));
    }

    /** When a closed gate was last told of: no command has an empty id. */
    public static function lastRefusal(Owner $owner): self
    {
        return self::lastRun('', $owner);
    }

    /** @param  string  $per  "stream" or "day" */
    public static function successes(string $command, string $per, Owner $owner): self
    {
        return new self(Kind::Successes, Fold::caseless($command)."\x1E".$per, $owner);
    }

    public static function stream(): self
    {
        return new self(Kind::Stream, '', Owner::channel());
    }

    public static function recentAnswers(?Owner $owner = null): self
    {
        return new self(Kind::RecentAnswers, '', $owner ?? Owner::channel());
    }

    public function ownedBy(Owner $owner): self
    {
        return new self($this->kind, $this->name, $owner);
    }

    public function id(): string
    {
        return $this->id;
    }

    /** @param  string  $owner  its id */
    public static function of(string $kind, string $name, string $owner): ?self
    {
        [$kind, $owner] = [Kind::tryFrom($kind), Owner::fromId($owner)];

        return $kind === null || $owner === null ? null : new self($kind, $name, $owner);
    }

    public static function fromId(string $id): ?self
    {
        $parts = explode("\x1F", $id);

        return count($parts) === 3 ? self::of(...$parts) : null;
    }
}
