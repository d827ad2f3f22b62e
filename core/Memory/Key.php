<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Source\Fold;

/** The name of one remembered thing. Names are folded, so that two spellings are one key. */
final readonly class Key
{
    public const CHANNEL = '';

    /** The sum over all categories, kept beside them so that reading it costs one key. */
    public const TOTAL = 'total';

    private function __construct(public Kind $kind, public string $name, public string $owner)
    {
    }

    /** @param  string  $owner empty for the whole channel, else "category:…", "viewer:…" or the total */
    public static function counter(string $name, string $owner = self::CHANNEL): self
    {
        return new self(Kind::Counter, Fold::caseless($name), $owner);
    }

    public static function field(string $name, string $personId): self
    {
        return new self(Kind::Field, Fold::caseless($name), self::viewer($personId));
    }

    public static function goods(string $name, string $personId): self
    {
        return new self(Kind::Goods, Fold::caseless($name), self::viewer($personId));
    }

    public static function occasion(string $name): self
    {
        return new self(Kind::Occasion, Fold::caseless($name), self::CHANNEL);
    }

    public static function person(string $login): self
    {
        return new self(Kind::Person, Fold::caseless($login), self::CHANNEL);
    }

    public static function listPosition(string $name): self
    {
        return new self(Kind::ListPosition, Fold::caseless($name), self::CHANNEL);
    }

    public static function lastRun(string $trigger, string $owner = self::CHANNEL): self
    {
        return new self(Kind::LastRun, Fold::caseless($trigger), $owner);
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
