<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;

/** One of the simulated people of a rehearsal. */
final readonly class CastMember
{
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

    public function person(): Person
    {
        return Person::known(
            'cast-'.$this->login,
            $this->login,
            $this->name,
            Levels::of(...$this->levels),
            $this->tier,
        );
    }
}
