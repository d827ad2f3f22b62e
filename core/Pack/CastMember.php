<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Source\Fold;

/** One of the simulated people of a rehearsal. */
final readonly class CastMember
{
    /** Before the login, in an id. */
    private const ID = 'cast-';

    /** Details that can be given. */
    public const DETAILS = ['link', 'category', 'followed'];

    /**
     * @param  list<Level>  $levels
     * @param  int  $tier  of a subscription, 0 to 3
     * @param  string  $habits  who this is, for the author's eyes
     * @param  array<string, string>  $record  field => value, written as in a response
     * @param  array<string, string>  $details  what the streaming service would tell: "link", "category" (what they
     *     streamed last), "followed" (since when, ISO 8601), by these names
     */
    public function __construct(
        public string $login,
        public string $name,
        public array $levels = [],
        public int $tier = 0,
        public string $habits = '',
        public array $record = [],
        public array $details = [],
    ) {
    }

    /**
     * The one with the least levels: most of a chat is like that.
     *
     * @param  list<self>  $cast
     */
    public static function lowest(array $cast): ?self
    {
        $lowest = null;
        foreach ($cast as $member) {
            if (
                $lowest === null
                || $member->person()->levels->highest()->value < $lowest->person()->levels->highest()->value
            ) {
                $lowest = $member;
            }
        }

        return $lowest;
    }

    /** The id of somebody whom only rehearsals know. */
    public static function idOf(string $login): string
    {
        return self::ID.Fold::caseless($login);
    }

    /** @return string|null null for who is known to a service */
    public static function loginOf(string $personId): ?string
    {
        return str_starts_with($personId, self::ID) ? mb_substr($personId, mb_strlen(self::ID)) : null;
    }

    public function person(): Person
    {
        return Person::known(
            self::idOf($this->login),
            $this->login,
            $this->name,
            Levels::of(...$this->levels),
            $this->tier,
        );
    }
}
