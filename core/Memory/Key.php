<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Source\Fold;

/**
 * The name of one remembered thing: its kind, the id of the definition that it belongs to, and whose it is. Ids are folded,
 * since those of old were names, of which two spellings are one.
 */
final readonly class Key
{
    public const CHANNEL = '';

    /** The sum over all categories, kept beside them so that reading it costs one key. */
    public const TOTAL = 'total';

    private function __construct(public Kind $kind, public string $name, public string $owner)
    {
    }

    /** @param  string  $owner empty for the whole channel, else "category:…", "viewer:…" or the total */
    public static function counter(string $id, string $owner = self::CHANNEL): self
    {
        return new self(Kind::Counter, Fold::caseless($id), $owner);
    }

    public static function field(string $id, string $personId): self
    {
        return new self(Kind::Field, Fold::caseless($id), self::viewer($personId));
    }

    public static function goods(string $id, string $personId): self
    {
        return new self(Kind::Goods, Fold::caseless($id), self::viewer($personId));
    }

    public static function occasion(string $id): self
    {
        return new self(Kind::Occasion, Fold::caseless($id), self::CHANNEL);
    }

    public static function person(string $login): self
    {
        return new self(Kind::Person, Fold::caseless($login), self::CHANNEL);
    }

    public static function listPosition(string $id): self
    {
        return new self(Kind::ListPosition, Fold::caseless($id), self::CHANNEL);
    }

    public static function lastRun(string $command, string $owner = self::CHANNEL): self
    {
        return new self(Kind::LastRun, Fold::caseless($command), $owner);
    }

    public static function stream(): self
    {
        return new self(Kind::Stream, '', self::CHANNEL);
    }

    public static function recentAnswers(string $owner = self::CHANNEL): self
    {
        return new self(Kind::RecentAnswers, '', $owner);
    }

    public static function category(string $category): string
    {
        return 'category:'.Fold::caseless($category);
    }

    public static function viewer(string $personId): string
    {
        return 'viewer:'.$personId;
    }

    /** Kind, name and owner with a separator that none of them can hold. */
    public function id(): string
    {
        return $this->kind->value."\x1F".$this->name."\x1F".$this->owner;
    }

    public static function fromId(string $id): ?self
    {
        $parts = explode("\x1F", $id);
        $kind = count($parts) === 3 ? Kind::tryFrom($parts[0]) : null;

        return $kind === null ? null : new self($kind, $parts[1], $parts[2]);
    }
}
