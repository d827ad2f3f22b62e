<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\SayingPattern;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;

/** What is said, but for what may vary: “High water [number] m[any]”. */
final readonly class Matches implements Expects
{
    public function __construct(public string $pattern)
    {
    }

    public static function key(): string
    {
        return 'matches';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        return new self($at->text(Limits::SAID));
    }

    public function write(): string
    {
        return $this->pattern;
    }

    public function unmet(Seen $seen): ?Message
    {
        return SayingPattern::of($this->pattern)->matches(implode(' ', $seen->texts()))
            ? null
            : new Message('expectations.matches-not', ['pattern' => $this->pattern]);
    }
}
