<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Message;

/** It is said within so many seconds. */
final readonly class Within implements Expects
{
    private const LONGEST = 86_400;

    public function __construct(public int $seconds)
    {
    }

    public static function key(): string
    {
        return 'within';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        return new self($at->whole(0, self::LONGEST));
    }

    public function write(): int
    {
        return $this->seconds;
    }

    public function unmet(Seen $seen): ?Message
    {
        return match (true) {
            $seen->texts() === [] => new Message('expectations.says-nothing'),
            $seen->took() > $this->seconds * 1000 => new Message('expectations.later', [
                'seconds' => intdiv($seen->took() + 999, 1000),
                'most' => $this->seconds,
            ]),
            default => null,
        };
    }
}
