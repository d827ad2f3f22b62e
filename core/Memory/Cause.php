<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Chat\Person;

/** By whom and by which command memory was changed, as its history tells it. */
final readonly class Cause
{
    /**
     * @param  string  $id  a person's id, or a user's number; empty for nobody
     * @param  string  $command  its id; empty where it was none
     * @param  string  $act  the same for all that is taken back together; empty for what stands alone
     */
    private function __construct(
        public ActorKind $actor,
        public string $id,
        public string $command,
        public string $act = '',
    ) {
    }

    public static function person(?Person $person, string $command = ''): self
    {
        return $person === null || $person->id === ''
            ? new self(ActorKind::Nobody, '', $command)
            : new self(ActorKind::Viewer, $person->id, $command);
    }

    public static function user(int $number, string $act = ''): self
    {
        return new self(ActorKind::User, (string) $number, '', $act);
    }

    public static function nobody(): self
    {
        return new self(ActorKind::Nobody, '', '');
    }
}
