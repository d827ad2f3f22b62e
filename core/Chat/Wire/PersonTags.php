<?php

declare(strict_types=1);

namespace SilverParrot\Chat\Wire;

/**
 * The tags in which one kind of chat tells who wrote a line. Only these exact names count: tags that begin with "+" are
 * the writer's own (IRCv3 message-tags), and of the others a server that we do not know may mean anything.
 */
final readonly class PersonTags
{
    /**
     * @param  string  $name  of the display name; empty for none
     * @param  string  $levels  of the levels, with commas between; empty for none
     * @param  string  $id  of the id that the service never gives to anybody else; empty where it gives none
     * @param  string  $service  whose ids they are
     */
    private function __construct(
        public string $name,
        public string $levels,
        public string $id = '',
        public string $service = '',
    ) {
    }

    /** A server that nobody has described: what it says beyond the open standards is not looked at. */
    public static function none(): self
    {
        return new self('', '');
    }

    /** The simulated service's own. */
    public static function ofTheHarbour(): self
    {
        return new self('harbour.example/name', 'harbour.example/levels', 'harbour.example/id', 'harbour');
    }
}
