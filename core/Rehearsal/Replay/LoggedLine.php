<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

/** What one line of a log says: somebody wrote something, from here on it is another day, or nothing that is chat. */
final readonly class LoggedLine
{
    private function __construct(
        public ?LogTime $at,
        public string $name = '',
        public string $text = '',
        public bool $isSaid = false,
    ) {
    }

    public static function said(?LogTime $at, string $name, string $text): self
    {
        return new self($at, trim($name), $text, true);
    }

    /** A line that sets the day, or the moment, of those that follow. */
    public static function day(?LogTime $at): self
    {
        return new self($at);
    }

    /** Somebody came, went, or was renamed: nothing that a rehearsal hears. */
    public static function other(): self
    {
        return new self(null);
    }
}
